import { describe, expect, it } from 'vitest';
import { symbols } from './words';

describe('symbols in a list', () => {
  it('are read however they are separated', () => {
    expect(symbols(' dc, LU;re ')).toEqual(['DC', 'LU', 'RE']);
    expect(symbols('')).toEqual([]);
  });
});
