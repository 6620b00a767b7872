import { beforeAll, describe, expect, it, vi } from 'vitest';

vi.mock('$lib/api/client', () => import('$lib/testing/server'));

import { settings } from '$lib/shell/settings.svelte';
import { get } from '$lib/testing/server';
import { units } from './units.svelte';

describe('quantities as they are looked at', () => {
  beforeAll(async () => {
    get.mockResolvedValue({
      items: [
        { metric: 'mm', inch: 'in', factor: 25.4, decimals: 2 },
        { metric: 'N.m', inch: 'lbf.ft', factor: 1.35581794833, decimals: 0 }
      ]
    });
    await units.load();
  });

  it('stay as they are in millimetres', () => {
    settings.unit = 'mm';
    expect(units.show(1270, 'mm', 1)).toBe('1,270.0');
    expect(units.label('N.m')).toBe('N·m');
  });

  it('get more decimals in inches, and their own unit', () => {
    settings.unit = 'in';
    expect(units.show(12.7, 'mm', 1)).toBe('0.500');
    expect(units.code('N.m')).toBe('lbf.ft');
    expect(units.show(1.35581794833, 'N.m', 2)).toBe('1.00');
  });

  it('stay as they are where inches have no unit of their own', () => {
    settings.unit = 'in';
    expect(units.show(4775, '1/min', 0)).toBe('4,775');
    expect(units.entry(0.30000000000000004, '1')).toBe('0.3');
  });

  it('are asked for once', async () => {
    await units.load();
    expect(get).toHaveBeenCalledTimes(1);
  });
});
