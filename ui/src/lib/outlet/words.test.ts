import { describe, expect, it } from 'vitest';
import type { OutletView } from '$lib/api/client';
import { holds } from './words';

describe('which edition an outlet is to hold', () => {
  const outlet = (edition: number | null, should: number | null) =>
    ({ edition, should }) as OutletView;

  it('is one, or always the newest', () => {
    expect(holds(outlet(2, 2))).toBe('always edition 2');
    expect(holds(outlet(null, 5))).toBe('the newest, now 5');
    expect(holds(outlet(null, null))).toBe('the newest');
  });
});
