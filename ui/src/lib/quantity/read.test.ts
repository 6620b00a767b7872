import { beforeEach, describe, expect, it, vi } from 'vitest';

vi.mock('$lib/api/client', () => import('$lib/testing/server'));

import { get } from '$lib/testing/server';
import { readQuantity } from './read';

describe('a number that the server reads', () => {
  beforeEach(() => get.mockReset());

  it('is read in the unit that was looked at', async () => {
    get.mockResolvedValue({ valid: true, exact: '25.4' });
    expect(await readQuantity('1', 'in', 'mm')).toBe(25.4);
    expect(get).toHaveBeenCalledWith('/api/v1/explain/quantity', {
      params: { query: { text: '1', from: 'in', to: 'mm' } }
    });
  });

  it('says what is wrong with it', async () => {
    get.mockResolvedValue({ valid: false, why: 'not a number' });
    await expect(readQuantity('long', 'mm', 'mm')).rejects.toThrow("'long': not a number");
  });
});
