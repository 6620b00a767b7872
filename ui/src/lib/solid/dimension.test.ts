import { describe, expect, it } from 'vitest';
import type { Mark, Outline } from '$lib/api/client';
import { handleOf, sizeAt, standing } from './dimension';

const outline: Outline = { length: 83, diameter: 12, parts: [], marks: [] };
const fluted: Mark = { symbol: 'LU', kind: 'ALONG', z1: 57, z2: 83, r: 0 };
const shank: Mark = { symbol: 'LS', kind: 'ALONG', z1: 0, z2: 45, r: 0 };
const diameter: Mark = { symbol: 'DC', kind: 'ACROSS', z1: 83, z2: 83, r: 6 };
const corners = standing(
  [
    { z: 0, r: 6 },
    { z: 26.125, r: 6 },
    { z: 26.125, r: 5.5 },
    { z: 83, r: 5.5 }
  ],
  outline
);

describe('a dimension that is dragged', () => {
  it('moves the end that is not the tip', () => {
    expect(handleOf(fluted, outline)).toEqual({ z: 57, r: 0, along: true });
    expect(handleOf(shank, outline)).toEqual({ z: 45, r: 0, along: true });
    expect(handleOf(diameter, outline)).toEqual({ z: 83, r: 6, along: false });
    expect(handleOf({ ...diameter, kind: 'ANGLE' }, outline)).toBeNull();
  });

  it('goes into a corner of the contour that is near', () => {
    expect(sizeAt(fluted, outline, { z: 57.4, r: 0 }, corners, 8)).toBe(26.125);
    expect(sizeAt(diameter, outline, { z: 0, r: -5.4 }, corners, 8)).toBe(11);
  });

  it('takes tenths elsewhere, and never nothing', () => {
    expect(sizeAt(fluted, outline, { z: 52.03, r: 0 }, corners, 8)).toBe(31);
    expect(sizeAt(shank, outline, { z: 40.26, r: 0 }, corners, 8)).toBe(40.3);
    expect(sizeAt(diameter, outline, { z: 0, r: 0 }, corners, 8)).toBe(0.1);
  });
});
