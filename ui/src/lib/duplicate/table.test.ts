import { describe, expect, it } from 'vitest';
import type { DuplicateGroup, DuplicateMember } from '$lib/api/client';
import { differenceTable, keptFirst, takenValues } from './table';

const member = (toolId: number, more: Partial<DuplicateMember> = {}): DuplicateMember =>
  ({
    toolId,
    differences: [],
    usedIn: [],
    stacks: 0,
    cutting: 0,
    proven: 0,
    planned: 0,
    ...more
  }) as unknown as DuplicateMember;

const group = (...members: DuplicateMember[]) => ({ members }) as DuplicateGroup;

describe('tools that may be one', () => {
  it('say each what they state where they differ', () => {
    const first = member(1);
    const second = member(2, {
      differences: [
        { field: 'LU', here: '30 mm', there: '31 mm' },
        { field: 'NAME', here: 'a', there: 'b' }
      ]
    });
    const third = member(3, { differences: [{ field: 'COATING', here: '', there: 'TX' }] });
    const table = differenceTable(group(first, second, third));
    expect(table.fields).toEqual(['LU', 'COATING']);
    expect([first, second, third].map((one) => table.text(one, 'LU'))).toEqual([
      '30 mm',
      '31 mm',
      '30 mm'
    ]);
    expect([first, second, third].map((one) => table.text(one, 'COATING'))).toEqual(['', '', 'TX']);
  });

  it('give values only to another tool, and only where they are merged', () => {
    expect(takenValues({ LU: 2, OAL: 1, RE: 3 }, 1, [2])).toEqual({ LU: 2 });
  });

  it('keep the one that is proven, planned and held most', () => {
    const held = [{ library: 'A' }, { library: 'B' }] as DuplicateMember['usedIn'];
    expect(keptFirst(group(member(1), member(2, { usedIn: held })))).toBe(2);
    const fuller = member(3, { differences: [{ field: 'LU', here: '', there: '31 mm' }] });
    expect(keptFirst(group(member(1), fuller))).toBe(3);
    expect(keptFirst(group(member(1, { proven: 1 }), member(2, { usedIn: held })))).toBe(1);
  });
});
