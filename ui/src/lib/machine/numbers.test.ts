import { describe, expect, it } from 'vitest';
import type { MachineView } from '$lib/api/client';
import { arranged } from './numbers';

const view = {
  plan: [
    { place: '1', code: 'M-10', number: '12' },
    { place: '2', code: 'M-9', number: '101' },
    { place: '3', code: 'D-4', number: '7' }
  ]
} as MachineView;

describe('planned tools in an order', () => {
  it('stand as their places do, or by number, or by code as people count', () => {
    const places = (by: Parameters<typeof arranged>[1]) =>
      arranged(view, by)
        .map(({ place }) => place)
        .join(' ');
    expect(places('places')).toBe('1 2 3');
    expect(places('numbers')).toBe('3 1 2');
    expect(places('codes')).toBe('3 2 1');
  });
});
