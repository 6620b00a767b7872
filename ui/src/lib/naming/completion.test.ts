import { describe, expect, it } from 'vitest';
import { completed, offered, openField } from './completion';

const fields = [
  { symbol: 'CLASS', name: 'tool class' },
  { symbol: 'DC', name: 'cutting diameter' },
  { symbol: 'DCX', name: 'largest cutting diameter' },
  { symbol: 'LU', name: 'usable length' }
];

describe('completion of a pattern', () => {
  it('knows what is being typed between braces', () => {
    expect(openField('EM{D', 4)).toEqual({ from: 3, word: 'D' });
    expect(openField('EM{', 3)).toEqual({ from: 3, word: '' });
  });

  it('is quiet outside of braces, behind a closed field, and after the unit began', () => {
    expect(openField('EM', 2)).toBeNull();
    expect(openField('EM{DC}', 6)).toBeNull();
    expect(openField('EM{DC i', 7)).toBeNull();
    expect(openField('EM\\{D', 5)).toBeNull();
  });

  it('offers symbols first, then names', () => {
    expect(offered(fields, 'dc').map((field) => field.symbol)).toEqual(['DC', 'DCX']);
    expect(offered(fields, 'length').map((field) => field.symbol)).toEqual(['LU']);
    expect(offered(fields, '')).toHaveLength(4);
  });

  it('closes the field and puts the caret behind it', () => {
    expect(completed('EM{D', 4, 'DC')).toEqual(['EM{DC}', 6]);
    expect(completed('EM{D}-1', 4, 'DC')).toEqual(['EM{DC}-1', 6]);
    expect(completed('EM', 2, 'DC')).toEqual(['EM', 2]);
  });
});
