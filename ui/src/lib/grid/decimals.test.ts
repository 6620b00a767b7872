import { describe, expect, it } from 'vitest';
import { parts, widest } from './decimals';

describe('decimal points', () => {
  it('divide a number and nothing else', () => {
    expect(parts('12.75')).toEqual({ whole: '12', fraction: '.75' });
    expect(parts('12')).toEqual({ whole: '12', fraction: '' });
    expect(parts('1/2')).toEqual({ whole: '1/2', fraction: '' });
    expect(parts('M10x1.5')).toEqual({ whole: 'M10x1.5', fraction: '' });
  });

  it('need the room of the longest fraction', () => {
    expect(widest(['10', '12.5', '3.175', 'M10x1.25'])).toBe(4);
    expect(widest([])).toBe(0);
  });
});
