import { describe, expect, it } from 'vitest';
import { fit, path, view } from './geometry';

describe('drawing geometry', () => {
  it('mirrors a half profile at the axis', () => {
    const part = {
      kind: 'CUTTING' as const,
      flat: false,
      profile: [
        { z: 0, r: 2 },
        { z: 10, r: 1 }
      ]
    };
    expect(path(part, view(5, 20, 2))).toBe('M5 16L25 18L25 22L5 24Z');
  });

  it('takes the scale at which the largest tool fits', () => {
    const outline = (length: number, diameter: number) => ({
      length,
      diameter,
      parts: [],
      marks: []
    });
    expect(fit([outline(100, 10), outline(50, 40)], 200, 60)).toBe(1.5);
  });
});
