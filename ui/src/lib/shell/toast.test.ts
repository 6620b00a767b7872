import { beforeEach, describe, expect, it, vi } from 'vitest';

const post = vi.hoisted(() => vi.fn());
const said = vi.hoisted(() => Object.assign(vi.fn(), { error: vi.fn() }));
vi.mock('svelte-sonner', () => ({ toast: said }));
vi.mock('$lib/api/client', () => ({
  api: { POST: post },
  ask: (answer: Promise<unknown>) => answer,
  Problem: class extends Error {}
}));

import { Problem } from '$lib/api/client';
import { done, failed } from './toast';

const action = () => said.mock.calls[0][1].action as { label: string; onClick: () => void };

describe('what is said of deeds', () => {
  beforeEach(() => {
    vi.clearAllMocks();
    post.mockResolvedValue(undefined);
  });

  it('offers no way back where there is none', () => {
    done('Signed out');
    expect(said.mock.calls).toEqual([['Signed out']]);
  });

  it('takes a deed back and says so', async () => {
    const after = vi.fn();
    done('Copied 3 tools', 71, after);
    expect(action().label).toBe('Undo');
    action().onClick();
    await vi.waitFor(() => expect(after).toHaveBeenCalledOnce());
    expect(post).toHaveBeenCalledWith('/api/v1/trail/{id}/undo', { params: { path: { id: 71 } } });
    expect(said).toHaveBeenLastCalledWith('Taken back');
  });

  it('says why a deed cannot be taken back, and does nothing more', async () => {
    const after = vi.fn();
    const reason = 'it was changed again since';
    post.mockRejectedValue(Object.assign(new (Problem as unknown as ErrorConstructor)(reason)));
    done('Renamed', 72, after);
    action().onClick();
    await vi.waitFor(() => expect(said.error).toHaveBeenCalledOnce());
    expect(said.error.mock.calls[0][0]).toBe('It was changed again since');
    expect(after).not.toHaveBeenCalled();
  });

  it('keeps the inside of a fault of the page to itself', () => {
    failed(new TypeError('x is undefined'));
    expect(said.error.mock.calls[0][0]).toBe('Something went wrong in this page');
  });
});
