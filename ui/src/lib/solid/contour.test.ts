import { expect, it } from 'vitest';
import { contourPoints } from './contour';

it('corners stay, and an arc is followed away from the axis', () => {
  const points = contourPoints([
    { z: 0, r: 0 },
    { kind: 'arc', z1: 0, r1: 0, z2: 6, r2: 6, radius: 6 },
    { z: 40, r: 6 }
  ]);
  expect(points[0]).toEqual({ z: 0, r: 0 });
  expect(points.at(-1)).toEqual({ z: 40, r: 6 });
  for (const { z, r } of points.slice(1, -1)) {
    expect(Math.hypot(z - 6, r)).toBeCloseTo(6, 9);
  }
  const middle = points[13];
  expect(middle.r).toBeGreaterThan(middle.z);
});
