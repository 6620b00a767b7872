import { beforeEach, describe, expect, it, vi } from 'vitest';

const called = vi.hoisted(() => vi.fn());
const done = vi.hoisted(() => vi.fn());
vi.mock('$lib/api/client', () => ({
  api: { GET: called, POST: called, PUT: called },
  ask: (answer: Promise<unknown>) => answer
}));
vi.mock('$lib/api/cache', () => ({ ALL: '*', reload: () => Promise.resolve() }));
vi.mock('$lib/shell/toast', () => ({ done, failed: vi.fn() }));

import { units } from '$lib/quantity/units.svelte';
import { settings } from '$lib/shell/settings.svelte';
import { inspectItems, setCutting, setOverhang } from './actions';

describe('what is done with items of a package', () => {
  beforeEach(async () => {
    settings.unit = 'mm';
    called.mockReset().mockResolvedValueOnce({
      items: [{ metric: 'mm', inch: 'in', factor: 25.4, decimals: 2 }]
    });
    await units.load();
    called.mockReset().mockResolvedValue({ lines: 1, undo: 4 });
    done.mockReset();
  });

  it('says how far a tool stands out in the unit that is looked at, and sends millimetres', async () => {
    await setOverhang(3, 7, 0, 50.8);
    settings.unit = 'in';
    await setOverhang(3, 7, 0, 50.8);
    expect(done.mock.calls.map(([text]) => text)).toEqual([
      'The tool stands out 50.8 mm',
      'The tool stands out 2 in'
    ]);
    expect(called.mock.calls.map((call) => call[1].body)).toEqual([
      { overhang: 50.8 },
      { overhang: 50.8 }
    ]);
  });

  it('offers to take cutting data back', async () => {
    await setCutting(3, 7, [{ MATERIAL: 'p-steel', VC: '120', FEED: '0.1' }]);
    expect(done.mock.calls[0].slice(0, 2)).toEqual(['1 line of cutting data', 4]);
  });

  it('inspects those that are named, or all that were not', async () => {
    await inspectItems(3, [7, 8]);
    await inspectItems(3, null);
    expect(called.mock.calls.map((call) => call[1].body)).toEqual([{ lines: [7, 8] }, {}]);
    expect(done).not.toHaveBeenCalled();
  });
});
