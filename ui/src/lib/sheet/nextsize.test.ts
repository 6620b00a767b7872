import { describe, expect, it } from 'vitest';
import { codeOfSize, nextSize } from './nextsize';

describe('the next size', () => {
  it('is the next of the usual diameters', () => {
    expect(nextSize(10)).toBe(12);
    expect(nextSize(9.7)).toBe(10);
    expect(nextSize(160)).toBeUndefined();
  });

  it('is carried into the code where the code names the old one', () => {
    expect(codeOfSize('MC-FE10', 10, 12)).toBe('MC-FE12');
    expect(codeOfSize('MC-FE08', 8, 10)).toBe('MC-FE10');
    expect(codeOfSize('B6-X', 6, 8)).toBe('B8-X');
    expect(codeOfSize('SPECIAL', 10, 12)).toBe('');
  });
});
