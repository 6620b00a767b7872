import { describe, expect, it } from 'vitest';
import { profileOf } from './bodies';

describe('cylinders and cones', () => {
  it('stand behind one another', () => {
    const outline = profileOf([
      { length: 27, from: 63, to: 63 },
      { length: 60, from: 44, to: 24 }
    ]);
    expect(outline?.length).toBe(87);
    expect(outline?.diameter).toBe(63);
    expect(outline?.parts[0].profile.map((point) => point.z)).toEqual([0, 27, 27, 87]);
  });

  it('are nothing to draw without a length', () => {
    expect(profileOf([])).toBeNull();
  });
});
