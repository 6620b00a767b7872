import { describe, expect, it } from 'vitest';
import { differing } from './differing';

describe('what is not as in the base, in a list', () => {
  it('is said by symbols and names', () => {
    expect(
      differing({ toolId: 1, own: false, fields: ['values.DC', 'number', 'cutting.CuSn12/rough'] })
    ).toBe('DC, number, cutting data cusn12, rough');
  });

  it('is nothing where all is as there, and said of tools of our own', () => {
    expect(differing(undefined)).toBe('');
    expect(differing({ toolId: 1, own: false, fields: [] })).toBe('');
    expect(differing({ toolId: 1, own: true, fields: [] })).toBe('only here');
  });
});
