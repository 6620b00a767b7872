import { describe, expect, it } from 'vitest';
import type { UseView } from '$lib/api/client';
import { offsetNumbers, useInWords } from './words';

const use = { driven: true, angle: 90, spindle: 'sub', offsets: [3, 23] } as UseView['use'];

describe('a use in words', () => {
  it('says how a tool stands where work turns', () => {
    expect(useInWords({ use, turnsWork: true })).toBe(
      'driven across it, sub spindle, offset 3 and 23'
    );
    expect(useInWords({ use: { ...use, driven: false, angle: 30 }, turnsWork: true })).toContain(
      'static at 30° to it'
    );
  });

  it('says only the offset on a mill', () => {
    expect(useInWords({ use: { ...use, offsets: [3] }, turnsWork: false })).toBe('offset 3');
  });
});

describe('offset numbers', () => {
  it('are read as people write them', () => {
    expect(offsetNumbers('3, 23')).toEqual([3, 23]);
    expect(offsetNumbers('')).toEqual([]);
    expect(offsetNumbers('3a')).toBeUndefined();
  });
});
