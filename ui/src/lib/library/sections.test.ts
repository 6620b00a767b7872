import { describe, expect, it } from 'vitest';
import type { SectionView } from '$lib/api/client';
import { droppedOn, neighbour, path } from './sections';

const section = (id: number, parent?: number) => ({ id, parent }) as SectionView;
const all = [section(1), section(2), section(21, 2), section(22, 2), section(3)];

describe('a section that moves', () => {
  it('goes before the one before it, or behind the next', () => {
    expect(neighbour(all, all[1], false)).toBe(1);
    expect(neighbour(all, all[0], true)).toBe(3);
  });

  it('goes to the last place behind the last one', () => {
    expect(neighbour(all, all[1], true)).toBe(0);
    expect(neighbour(all, all[2], true)).toBe(0);
  });

  it('stays where it is at an end of those beside it', () => {
    expect(neighbour(all, all[0], false)).toBeUndefined();
    expect(neighbour(all, all[4], true)).toBeUndefined();
    expect(neighbour(all, all[2], false)).toBeUndefined();
  });
});

describe('a section that is dropped on another one', () => {
  it('goes before it, into what that is in', () => {
    expect(droppedOn(all, all[4], all[0])).toEqual({ parent: 0, before: 1 });
    expect(droppedOn(all, all[4], all[3])).toEqual({ parent: 2, before: 22 });
    expect(droppedOn(all, all[2], all[0])).toEqual({ parent: 0, before: 1 });
  });

  it('stays where that would be a third level, or itself', () => {
    expect(droppedOn(all, all[1], all[2])).toBeUndefined();
    expect(droppedOn([...all, section(31, 3)], all[1], section(31, 3))).toBeUndefined();
    expect(droppedOn(all, all[0], all[0])).toBeUndefined();
  });
});

it('has the section that it is in before its name', () => {
  const named = [
    { ...section(1), name: 'Drills' },
    { ...section(11, 1), name: 'Long' }
  ];
  expect(path(named, named[1])).toBe('Drills / Long');
  expect(path(named, named[0])).toBe('Drills');
});
