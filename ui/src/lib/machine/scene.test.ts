import { describe, expect, it } from 'vitest';
import type { MachineView } from '$lib/api/client';
import { inScene } from './scene';

const use = (spindle: string, along = false) => ({ spindle, along, driven: false, holds: [] });
const spot = (place: string, right: string) => ({ place, next: { right, left: right } });
const view = {
  machine: {
    storages: [
      { id: 'C', form: 'CHAIN' },
      { id: 'L', form: 'TURRET' }
    ]
  },
  plan: [
    { place: '1', code: 'A', use: use('main') },
    { place: '4', code: 'B', use: use('sub', true) },
    { place: 'L1', code: 'C', use: use('main') },
    { place: 'L2', code: 'D', use: use('sub') }
  ],
  storages: [
    { id: 'C', places: ['1', '4'], layout: { spots: [spot('1', '4'), spot('4', '1')] } },
    { id: 'L', places: ['L1', 'L2'], layout: { spots: [spot('L1', 'L2'), spot('L2', 'L1')] } }
  ],
  scene: {
    mounts: [
      { storage: 'C', spindle: 'main', along: false },
      { storage: 'C', spindle: 'sub', along: true },
      { storage: 'L', spindle: 'main', along: false, radius: 200 },
      { storage: 'L', spindle: 'sub', along: false, radius: 200 }
    ]
  }
} as unknown as MachineView;

const codes = (chosen: string | null) =>
  inScene(view, chosen)
    .map(({ tool, mount }) => `${tool.code} ${mount.storage} ${mount.spindle}`)
    .sort();

describe('tools at the work', () => {
  it('are the first of each storage until one is chosen', () => {
    expect(codes(null)).toEqual(['A C main', 'C L main']);
    expect(codes('4')).toEqual(['B C sub', 'C L main']);
    expect(codes('L2')).toEqual(['A C main', 'D L sub']);
  });

  it('know what stands beside them', () => {
    const lower = inScene(view, 'L1').find(({ place }) => place === 'L1');
    expect(lower?.neighbours.map(({ code }) => code)).toEqual(['D']);
  });
});
