import { describe, expect, it } from 'vitest';
import { stretches } from './solid';

describe('the solid of a stack', () => {
  const shown = stretches([
    { z: 10, r: 20 },
    { z: 60, r: 20 },
    { z: 60, r: 15 },
    { z: 60, r: 15 },
    { z: 90, r: 15 }
  ]).map((pair) => pair.map((point) => [point.x, point.y]));

  it('is closed on the axis at both ends', () => {
    expect(shown[0]).toEqual([
      [0, 10],
      [20, 10]
    ]);
    expect(shown.at(-1)).toEqual([
      [15, 90],
      [0, 90]
    ]);
  });

  it('keeps shoulders as stretches of their own and leaves out what has no length', () => {
    expect(shown).toHaveLength(5);
    expect(shown[2]).toEqual([
      [20, 60],
      [15, 60]
    ]);
  });
});
