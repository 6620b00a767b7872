import { beforeEach, describe, expect, it, vi } from 'vitest';

const called = vi.hoisted(() => vi.fn());
const done = vi.hoisted(() => vi.fn());
const failed = vi.hoisted(() => vi.fn());
const reload = vi.hoisted(() => vi.fn());
vi.mock('$lib/api/client', () => ({
  api: {
    GET: called,
    POST: called,
    PUT: called,
    PATCH: called,
    DELETE: called
  },
  ask: (answer: Promise<unknown>) => answer
}));
vi.mock('$lib/api/cache', () => ({ ALL: '*', reload }));
vi.mock('$lib/shell/toast', () => ({ done, failed }));

import type { SectionView, ToolRow } from '$lib/api/client';
import {
  changeAll,
  copyInto,
  createTool,
  deleteLibrary,
  fileTools,
  holdVersions,
  mergeLibraries,
  takeOut
} from './actions';

const row = (toolId: number, code: string) => ({ toolId, code }) as ToolRow;

function answers(answer: object) {
  called.mockResolvedValue(answer);
}

/** What was said last, and which line of the trail takes it back. */
function told(): [string, number | undefined] {
  const [text, undo] = done.mock.calls.at(-1) as [string, number | undefined];
  return [text, undo];
}

describe('what is done in libraries', () => {
  beforeEach(() => {
    vi.clearAllMocks();
    reload.mockResolvedValue(undefined);
  });

  it('says how many tools were copied and how many stayed out', async () => {
    answers({ entering: 3, here: 1, refused: 2, undo: 40 });
    await copyInto(7, 'Heron', { tools: [1, 2, 3, 4, 5, 6], from: 2 });
    expect(told()).toEqual(['Copied 3 tools into Heron; 3 stayed out', 40]);
  });

  it('says of one that was moved', async () => {
    answers({ entering: 1, here: 0, refused: 0, undo: 41 });
    await copyInto(7, 'Heron', { tools: [1], from: 2, move: true });
    expect(told()[0]).toBe('Moved 1 tool into Heron');
  });

  it('loads the libraries again out of which tools were moved', async () => {
    answers({ entering: 2, here: 0, refused: 0 });
    await copyInto(7, 'Heron', {
      picks: [
        { from: 2, tools: [1] },
        { from: 5, tools: [2] }
      ]
    });
    expect(reload).toHaveBeenCalledWith(['library', '*'], ['library', '2'], ['library', '5']);
  });

  it('says which tools of merged libraries came under other numbers or were there', async () => {
    answers({ entering: 12, renumbered: 2, here: 1, undo: 42 });
    await mergeLibraries(7, 'Heron', [2, 5]);
    expect(told()[0]).toBe(
      '12 tools came into Heron, 2 under other numbers; 1 stood there already'
    );
  });

  it('names the one tool that was taken out, and counts many', async () => {
    answers({ undo: 43 });
    await takeOut(7, [row(1, 'EM-1')]);
    expect(told()).toEqual(['Removed EM-1', 43]);
    await takeOut(7, [row(1, 'EM-1'), row(2, 'EM-2')]);
    expect(told()[0]).toBe('Removed 2 tools');
  });

  it.each([
    [true, 1, 'EM-1 follows the newest version'],
    [true, 2, '2 tools follow the newest version'],
    [false, 1, 'EM-1 stays at this version'],
    [false, 2, '2 tools stay at this version']
  ])('says whether tools follow (%s, %i)', async (follow, number, text) => {
    answers({});
    await holdVersions(7, [row(1, 'EM-1'), row(2, 'EM-2')].slice(0, number), follow);
    expect(told()[0]).toBe(text);
  });

  it('says how many tools a change left as they are', async () => {
    answers({ changed: 1200, refused: 3, undo: 44 });
    await changeAll({ tools: [1], kind: 'VALUE', symbol: 'NOF', text: '4' }, 7);
    expect(told()).toEqual(['Changed 1,200 tools; 3 stayed as they are', 44]);
  });

  it('says that the tools of a deleted library stay', async () => {
    answers({ undo: 45 });
    await deleteLibrary(7, 'Heron');
    expect(told()[0]).toBe('Deleted Heron; its tools stay in the shop');
  });

  it('says into or out of which section tools went', async () => {
    answers({});
    const section = { id: 3, name: 'Roughing' } as SectionView;
    await fileTools(7, section, [1, 2], true);
    expect(told()[0]).toBe('2 tools put into Roughing');
    await fileTools(7, section, [1], false);
    expect(told()[0]).toBe('1 tool taken out of Roughing');
  });

  it('puts a new tool into its holder at once where one is chosen', async () => {
    answers({ toolId: 9, undo: 46 });
    const tool = { code: 'EM-9' } as Parameters<typeof createTool>[1];
    await createTool(7, tool, { holder: 4, overhang: 30 }, false, () => {});
    expect(called.mock.calls[0][0]).toBe('/api/v1/libraries/{id}/held-tools');
    expect(called.mock.calls[0][1].body.stack).toEqual({ components: [4], overhang: 30 });
    await createTool(7, tool, null, false, () => {});
    expect(called.mock.calls[1][0]).toBe('/api/v1/libraries/{id}/tools');
  });

  it('shows a refusal and says nothing else', async () => {
    called.mockRejectedValue(new Error('number 8 belongs to EM-2'));
    await expect(takeOut(7, [row(1, 'EM-1')])).resolves.toBeUndefined();
    expect(failed).toHaveBeenCalledOnce();
    expect(done).not.toHaveBeenCalled();
    expect(reload).not.toHaveBeenCalled();
  });
});
