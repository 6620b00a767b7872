import { beforeEach, describe, expect, it, vi } from 'vitest';

const called = vi.hoisted(() => vi.fn());
const done = vi.hoisted(() => vi.fn());
const failed = vi.hoisted(() => vi.fn());
const reload = vi.hoisted(() => vi.fn());
vi.mock('$lib/api/client', () => ({
  api: { GET: called, POST: called, PUT: called, PATCH: called, DELETE: called },
  ask: (answer: Promise<unknown>) => answer,
  bring: called
}));
vi.mock('$lib/api/cache', () => ({ ALL: '*', reload }));
vi.mock('$lib/shell/toast', () => ({ done, failed }));

import type { Delivery, FindingGroup } from '$lib/api/client';
import { allowLines, correctLines, repairLines, settleLines, takeLines } from './actions';

const group = { code: 'unit-doubtful', severity: 'HOLD' } as FindingGroup;
const heron = { id: 7, name: 'Heron' };

function told(): string {
  return done.mock.calls.at(-1)?.[0] as string;
}

describe('what is done with a delivery', () => {
  beforeEach(() => {
    vi.clearAllMocks();
    reload.mockResolvedValue(undefined);
  });

  it('says what entered, under which numbers, and what stays with the reason', async () => {
    called.mockResolvedValue({
      what: '12 tools',
      renumbered: 2,
      refused: 1,
      refusal: 'OT-1: holds tools for milling'
    });
    await takeLines({ id: 3 } as Delivery, heron, 'keep', '  ');
    expect(told()).toBe(
      '12 tools entered Heron, 2 under another number; 1 stay here: OT-1: holds tools for milling'
    );
    expect(called.mock.calls[0][1].body).toEqual({
      library: 7,
      numbering: 'keep',
      section: undefined
    });
  });

  it('says no more where all entered as they came', async () => {
    called.mockResolvedValue({ what: '1 tool', renumbered: 0, refused: 0 });
    await takeLines({ id: 3 } as Delivery, heron, 'keep', 'Roughing');
    expect(told()).toBe('1 tool entered Heron');
  });

  it('takes what stands in no library without one', async () => {
    called.mockResolvedValue({ what: '5 items', renumbered: 0, refused: 0 });
    await takeLines({ id: 3 } as Delivery, { name: 'the shop' }, 'keep', '');
    expect(told()).toBe('5 items entered the shop');
    expect(called.mock.calls[0][1].body.library).toBeUndefined();
  });

  it('takes lines only once they are corrected, and none where that is refused', async () => {
    let refuse: (why: Error) => void = () => {};
    called.mockReturnValueOnce(new Promise((_, fail) => (refuse = fail)));
    const correcting = correctLines(3, [{ line: 1, cells: { DC: '12' } }]);
    const taking = takeLines({ id: 3 } as Delivery, heron, 'keep', '');
    refuse(new Error('DC is no number'));
    await Promise.all([correcting, taking]);
    expect(called).toHaveBeenCalledTimes(1);
    expect(failed.mock.calls.map(([why]) => (why as Error).message)).toEqual([
      'DC is no number',
      'nothing was taken, because a correction before it was not accepted'
    ]);
  });

  it('puts lines right one after the other, and stops where one is refused', async () => {
    called.mockResolvedValueOnce({}).mockRejectedValueOnce(new Error('DC is no number'));
    await correctLines(3, [
      { line: 1, cells: { DC: '8' } },
      { line: 2, cells: { DC: 'wide' } },
      { line: 3, cells: { DC: '9' } }
    ]);
    expect(called).toHaveBeenCalledTimes(2);
    expect(failed).toHaveBeenCalledOnce();
  });

  it('repairs just the lines of a question', async () => {
    called.mockResolvedValue({ lines: 4, undo: 8 });
    await repairLines(3, group, 'inch', 'read as inches');
    expect(called.mock.calls[0][1].body).toEqual({
      finding: 'unit-doubtful',
      severity: 'HOLD',
      repair: 'inch'
    });
    expect(told()).toBe('Read as inches: 4 lines');
  });

  it('repeats the reason for which lines were let in', async () => {
    called.mockResolvedValue({ lines: 1 });
    await allowLines(3, group, 'measured twice');
    expect(told()).toBe('Let in 1 line: measured twice');
  });

  it('says whose values stand', async () => {
    called.mockResolvedValue({ lines: 2 });
    await settleLines(3, 'keep');
    expect(told()).toBe('The shop keeps 2 tools as they are');
    await settleLines(3, 'merge', [1, 2], ['LU']);
    expect(told()).toBe('2 tools of the shop will change');
  });
});
