import { describe, expect, it } from 'vitest';
import { fromClipboard, isTable, toClipboard } from './clipboard';

describe('cells from a spreadsheet', () => {
  it('are split at tabs and line breaks', () => {
    expect(fromClipboard('DC\tOAL\r\n10\t72\r\n')).toEqual([
      ['DC', 'OAL'],
      ['10', '72']
    ]);
  });

  it('keep line breaks and quotes inside quoted cells', () => {
    expect(fromClipboard('"1/2"""\t"two\nlines"')).toEqual([['1/2"', 'two\nlines']]);
  });

  it('keep empty cells in their place', () => {
    expect(fromClipboard('a\t\tb')).toEqual([['a', '', 'b']]);
    expect(fromClipboard('')).toEqual([]);
  });

  it('are a table only when there is more than one', () => {
    expect(isTable('12,7')).toBe(false);
    expect(isTable('12,7\n')).toBe(false);
    expect(isTable('12\n13')).toBe(true);
    expect(isTable('12\t13')).toBe(true);
  });
});

describe('cells for a spreadsheet', () => {
  it('come back as they were', () => {
    const rows = [
      ['EM-10', '-0.5', '12.7'],
      ['EM-12', '', '½']
    ];
    expect(fromClipboard(toClipboard(rows))).toEqual(rows);
  });

  it('carry no formula and no break', () => {
    expect(toClipboard([['=1+1', 'two\nlines', '-a']])).toBe("'=1+1\ttwo lines\t'-a");
  });
});
