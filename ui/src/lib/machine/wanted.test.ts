import { describe, expect, it } from 'vitest';
import type { MachineView, PlannedLoad } from '$lib/api/client';
import { afterLoad } from './wanted';

const view = {
  plan: [
    { place: '1', toolId: 7, code: 'A', name: 'Mill' },
    { place: '2', toolId: 8, code: 'B', name: 'Drill' }
  ]
} as unknown as MachineView;

describe('a machine after a load', () => {
  const load = {
    placement: [
      { place: '1', toolId: 7, code: 'A' },
      { place: '3', toolId: 8, code: 'B' },
      { place: '2', toolId: 9, code: 'C' }
    ]
  } as unknown as PlannedLoad;
  const wanted = [{ toolId: 9, libraryId: 1, code: 'C', name: 'Tap' }];
  const after = afterLoad(view, load, wanted);

  it('holds what was placed, by name', () => {
    expect(after.view.plan.map(({ place, name }) => [place, name])).toEqual([
      ['1', 'Mill'],
      ['3', 'Drill'],
      ['2', 'Tap']
    ]);
  });

  it('marks places where another tool stands than now', () => {
    expect(Object.keys(after.changed)).toEqual(['2', '3']);
  });
});
