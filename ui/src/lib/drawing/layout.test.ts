import { describe, expect, it } from 'vitest';
import type { Mark } from '$lib/api/client';
import { besideEnd, layout, lowered } from './layout';

const mark = (symbol: string, kind: Mark['kind'], z1: number, z2 = z1, r = 5): Mark => ({
  symbol,
  kind,
  z1,
  z2,
  r
});

const outline = {
  length: 72,
  diameter: 10,
  parts: [],
  marks: [
    mark('OAL', 'ALONG', 0, 72),
    mark('APMX', 'ALONG', 50, 72),
    mark('DMM', 'ACROSS', 15),
    mark('DC', 'ACROSS', 61),
    mark('DN', 'ACROSS', 45),
    mark('RE', 'RADIUS', 71)
  ]
};

describe('dimension layout', () => {
  it('puts every dimension at a place of its own', () => {
    const { placed } = layout(outline, 1200);
    expect(placed).toHaveLength(6);
    for (const one of placed) {
      for (const other of placed) {
        const apart = Math.abs(one.x - other.x) >= 118 || Math.abs(one.y - other.y) >= 26;
        expect(one === other || apart).toBe(true);
      }
    }
  });

  it('stacks lengths below the tool, shortest first', () => {
    const { placed, axis } = layout(outline, 1200);
    const y = (symbol: string) =>
      placed.find((dimension) => dimension.mark.symbol === symbol)?.y ?? 0;
    expect(y('APMX')).toBeGreaterThan(axis);
    expect(y('OAL')).toBeGreaterThan(y('APMX'));
  });

  it('begins the lines of a diameter where the outline last has it', () => {
    const shank = { kind: 'SHANK' as const, flat: false };
    const parts = [
      {
        ...shank,
        profile: [
          { z: 0, r: 4 },
          { z: 1, r: 5 },
          { z: 50, r: 5 }
        ]
      },
      {
        ...shank,
        profile: [
          { z: 50, r: 5 },
          { z: 71, r: 5 },
          { z: 72, r: 4 }
        ]
      }
    ];
    const { placed, at } = layout({ ...outline, parts }, 1200);
    const from = (symbol: string) =>
      placed.find((dimension) => dimension.mark.symbol === symbol)?.lines[1][0];
    expect(from('DMM')).toBe(at.x(1));
    expect(from('DC')).toBe(at.x(71));
    const bare = layout(outline, 1200);
    const alone = bare.placed.find((dimension) => dimension.mark.symbol === 'DC');
    expect(alone?.lines[1][0]).toBe(bare.at.x(61));
  });

  it('stands in the middle of a height that is larger', () => {
    const laid = layout(outline, 1200);
    const low = lowered(laid, laid.height + 100);
    expect(low.axis).toBe(laid.axis + 50);
    expect(low.placed[0].y).toBe(laid.placed[0].y + 50);
    expect(lowered(laid, 10)).toMatchObject({ axis: laid.axis, height: laid.height });
  });

  it('keeps the field of a short length away from the end that is dragged', () => {
    const { at, placed } = layout(
      { ...outline, marks: [mark('APMX', 'ALONG', 70, 72), mark('LS', 'ALONG', 0, 2)] },
      1200
    );
    const of = (symbol: string) => placed.find((one) => one.mark.symbol === symbol)!;
    expect(besideEnd(of('APMX'), at.x(70)).x).toBeLessThan(at.x(70) - 60);
    expect(besideEnd(of('LS'), at.x(2)).x).toBeGreaterThan(at.x(2) + 60);
    const long = layout(outline, 1200).placed.find((one) => one.mark.symbol === 'OAL')!;
    expect(besideEnd(long, 0)).toBe(long);
  });
});
