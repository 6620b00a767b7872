import { describe, expect, it } from 'vitest';
import type { SectionView } from '$lib/api/client';
import { neighbour } from './sections';

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
