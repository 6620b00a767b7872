import { beforeEach, describe, expect, it, vi } from 'vitest';

const done = vi.hoisted(() => vi.fn());
const failed = vi.hoisted(() => vi.fn());
const reload = vi.hoisted(() => vi.fn());
vi.mock('$lib/api/client', () => import('$lib/testing/server'));
vi.mock('$lib/api/cache', () => ({ ALL: '*', reload }));
vi.mock('$lib/shell/toast', () => ({ done, failed }));

import { post } from '$lib/testing/server';
import { moveTools } from './actions';

describe('moving tools to a standing', () => {
  beforeEach(() => {
    vi.clearAllMocks();
    reload.mockResolvedValue(undefined);
  });

  it.each([
    [{ changed: 1, same: 0 }, 'Released: 1 tool'],
    [{ changed: 12, same: 3 }, 'Released: 12 tools; 3 were so already'],
    [{ changed: 2, same: 1 }, 'Released: 2 tools; 1 was so already'],
    [{ changed: 0, same: 1 }, 'It is released already'],
    [{ changed: 0, same: 5 }, 'They are released already']
  ])('says what became of them (%o)', async (answer, text) => {
    post.mockResolvedValue({ ...answer, undo: 3 });
    await moveTools([1], 'RELEASED');
    expect(done.mock.calls[0][0]).toBe(text);
  });

  it('loads sheets and lists again', async () => {
    post.mockResolvedValue({ changed: 1, same: 0, undo: 3 });
    await moveTools([1], 'RETIRED');
    expect(reload).toHaveBeenCalledWith(['tool'], ['library']);
  });

  it('shows why they cannot be moved', async () => {
    post.mockRejectedValue(new Error('EM-1 was merged into another tool'));
    await moveTools([1], 'RETIRED');
    expect(failed).toHaveBeenCalledOnce();
    expect(done).not.toHaveBeenCalled();
  });
});
