import { describe, expect, it } from 'vitest';
import { usualEnding } from './ending';

describe('the ending of codes in a derived library', () => {
  it('is the first letter of its name behind a dash', () => {
    expect(usualEnding('Heron milling')).toBe('-H');
    expect(usualEnding('  "plover"')).toBe('-P');
    expect(usualEnding('5 axes')).toBe('-5');
  });

  it('is nothing where the name has no plain letter', () => {
    expect(usualEnding('')).toBe('');
    expect(usualEnding('—')).toBe('');
  });
});
