import { describe, expect, it } from 'vitest';
import { numbers } from './words';

describe('a list of stations', () => {
  it('is read as people write it', () => {
    expect(numbers('2, 4,6')).toEqual([2, 4, 6]);
    expect(numbers('1-4 9')).toEqual([1, 2, 3, 4, 9]);
    expect(numbers('4 2 4')).toEqual([2, 4]);
    expect(numbers(' ')).toEqual([]);
  });

  it('is refused where it is none', () => {
    for (const text of ['two', '4-2', '1-99999', '2.5']) {
      expect(numbers(text), text).toBeUndefined();
    }
  });
});
