import { describe, expect, it } from 'vitest';
import { pickedLibrary } from './pickedLibrary';

const libraries = [
  { id: 1, tools: 12 },
  { id: 2, tools: 90 },
  { id: 3, tools: 40 }
];
const empty = { plan: [] } as unknown as Parameters<typeof pickedLibrary>[1];

describe('the library tools are picked from', () => {
  it('is the largest where nothing else tells', () => {
    expect(pickedLibrary(libraries, empty, undefined)).toBe(2);
  });

  it('is the one most planned tools come from', () => {
    const plan = [{ libraryId: 3 }, { libraryId: 3 }, { libraryId: 2 }];
    expect(pickedLibrary(libraries, { ...empty, plan } as typeof empty, undefined)).toBe(3);
  });

  it('is that of the machine before any, but for the one chosen last', () => {
    const machine = { plan: [{ libraryId: 3 }], library: { libraryId: 1 } } as typeof empty;
    expect(pickedLibrary(libraries, machine, undefined)).toBe(1);
    expect(pickedLibrary(libraries, machine, '2')).toBe(2);
    expect(pickedLibrary(libraries, machine, '9')).toBe(1);
  });

  it('is none where there is none', () => {
    expect(pickedLibrary([], empty, undefined)).toBe(0);
  });
});
