import { beforeEach, describe, expect, it, vi } from 'vitest';

const done = vi.hoisted(() => vi.fn());
const failed = vi.hoisted(() => vi.fn());
vi.mock('$lib/shell/toast', () => ({ done, failed }));

import { act, perform } from './act';
import { ALL, cache, reloadSubject } from './cache';

describe('a deed', () => {
  const invalidated: unknown[] = [];

  beforeEach(() => {
    done.mockReset();
    failed.mockReset();
    invalidated.length = 0;
    vi.spyOn(cache, 'invalidateQueries').mockImplementation(async (filters) => {
      invalidated.push(filters?.queryKey);
    });
  });

  it('says what was done, with its way back, and loads again what it concerns', async () => {
    const answer = await act({
      ask: async () => ({ undo: 7 }),
      message: 'Saved',
      concerns: [['tool', '3']]
    });
    expect(answer).toEqual({ undo: 7 });
    expect(done).toHaveBeenCalledWith('Saved', 7, expect.any(Function));
    expect(invalidated).toEqual([['tool', '3']]);
  });

  it('says it once the page shows it, and not never where that takes long', async () => {
    let arrive = () => {};
    vi.spyOn(cache, 'invalidateQueries').mockReturnValue(new Promise((done) => (arrive = done)));
    vi.useFakeTimers();
    const deed = { ask: async () => ({}), message: 'Saved', concerns: [['tool']] };
    const quick = act(deed);
    await vi.advanceTimersByTimeAsync(100);
    expect(done).not.toHaveBeenCalled();
    arrive();
    await quick;
    expect(done).toHaveBeenCalledOnce();
    vi.spyOn(cache, 'invalidateQueries').mockReturnValue(new Promise(() => {}));
    void act(deed);
    await vi.advanceTimersByTimeAsync(2000);
    expect(done).toHaveBeenCalledTimes(2);
    vi.useRealTimers();
  });

  it('loads again once more when it was taken back', async () => {
    const undone = vi.fn();
    await act({
      ask: async () => ({ undo: 7 }),
      message: 'Saved',
      concerns: [['tool', '3']],
      undone
    });
    done.mock.calls[0][2]();
    await vi.waitFor(() => expect(undone).toHaveBeenCalled());
    expect(invalidated).toEqual([
      ['tool', '3'],
      ['tool', '3']
    ]);
  });

  it('says a refusal and answers nothing', async () => {
    const refusal = new Error('the code is used');
    expect(
      await act({ ask: () => Promise.reject(refusal), message: 'Saved', concerns: [['tool']] })
    ).toBeUndefined();
    expect(failed).toHaveBeenCalledWith(refusal);
    expect(done).not.toHaveBeenCalled();
    expect(invalidated).toEqual([]);
  });

  it('leaves a refusal to a page that shows it itself', async () => {
    const refusal = new Error('somebody changed it');
    await expect(perform({ ask: () => Promise.reject(refusal), concerns: [] })).rejects.toBe(
      refusal
    );
    expect(failed).not.toHaveBeenCalled();
  });

  it('concerns a thing and the lists it stands in, and nothing else', async () => {
    await reloadSubject('delivery', 4);
    expect(invalidated).toEqual([
      ['delivery', '4'],
      ['delivery', ALL]
    ]);
  });
});
