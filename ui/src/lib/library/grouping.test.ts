import { describe, expect, it } from 'vitest';
import type { ToolRow } from '$lib/api/client';
import { settings } from '$lib/shell/settings.svelte';
import { groupTitle } from './grouping';

const row = (group: string) => ({ group, classTitle: 'ball end mill' }) as ToolRow;

describe('the title of a group', () => {
  it('says what its tools have in common', () => {
    settings.unit = 'mm';
    expect(groupTitle(row('end-mill-ball'), 'class')).toBe('Ball end mill');
    expect(groupTitle(row('8.500000'), 'diameter')).toBe('Ø 8.5 mm');
    expect(groupTitle(row('BRK-J40'), 'holder')).toBe('BRK-J40');
    expect(groupTitle(row('RELEASED'), 'standing')).toBe('Released');
    const names = { 'p-alloy': 'alloy steel', 'n-cast': 'cast aluminium' };
    expect(groupTitle(row('n-cast, p-alloy'), 'material', names)).toBe(
      'Cast aluminium, alloy steel'
    );
  });

  it('says what they all lack', () => {
    expect(groupTitle(row('0.000000'), 'diameter')).toBe('No diameter');
    expect(groupTitle(row(''), 'holder')).toBe('Without a stack');
    expect(groupTitle(row(''), 'material')).toBe('Without cutting data');
    expect(groupTitle(row(''), 'section')).toBe('In no section');
  });
});
