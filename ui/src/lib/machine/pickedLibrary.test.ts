import { describe, expect, it } from 'vitest';
import { pickedLibrary } from './pickedLibrary';

const libraries = [{ id: 1 }, { id: 2 }, { id: 3 }];

describe('the library tools are picked from', () => {
  it('is the one chosen last, as long as it is there', () => {
    expect(pickedLibrary(libraries, 3, '2')).toBe(2);
    expect(pickedLibrary(libraries, 3, '9')).toBe(3);
  });

  it('is the usual one else, and none where there is none', () => {
    expect(pickedLibrary(libraries, 3, undefined)).toBe(3);
    expect(pickedLibrary([], null, undefined)).toBe(0);
  });
});
