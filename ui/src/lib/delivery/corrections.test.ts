import { describe, expect, it, vi } from 'vitest';

vi.mock('$lib/api/client', () => import('$lib/testing/server'));
vi.mock('$lib/api/cache', () => ({ ALL: '*', reload: () => Promise.resolve() }));
vi.mock('$lib/shell/toast', () => ({ done: vi.fn(), failed: vi.fn() }));

import { correct, corrected } from './corrections';

describe('corrections of a delivery', () => {
  it('are awaited before anything of it is taken', async () => {
    const order: string[] = [];
    let late: (answer: string) => void = () => {};
    const answer = new Promise<string>((done) => (late = done));
    void answer.then(() => order.push('corrected'));
    void correct(7, { ask: () => answer, concerns: [] });
    const taken = corrected(7).then(() => order.push('taken'));
    late('done');
    await taken;
    expect(order).toEqual(['corrected', 'taken']);
  });

  it('keep it from being taken where one is refused, and only then', async () => {
    const ask = () => Promise.reject(new Error('no number'));
    const refused = correct(7, { ask, concerns: [] });
    await expect(corrected(7)).rejects.toThrow('nothing was taken');
    expect(await refused).toBeUndefined();
    await expect(corrected(7)).resolves.toBeUndefined();
  });

  it('of another delivery are nothing to wait for', async () => {
    void correct(7, { ask: () => new Promise(() => {}), concerns: [] });
    await expect(corrected(8)).resolves.toBeUndefined();
  });
});
