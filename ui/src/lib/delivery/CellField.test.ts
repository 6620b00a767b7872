// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen } from '@testing-library/svelte';
import { beforeEach, describe, expect, it, vi } from 'vitest';

const reload = vi.hoisted(() => vi.fn());
const failed = vi.hoisted(() => vi.fn());
vi.mock('$lib/shell/toast', () => ({ failed, done: vi.fn() }));
vi.mock('$lib/api/client', () => import('$lib/testing/server'));
vi.mock('$lib/api/cache', () => ({ ALL: '*', reload }));

import type { Line } from '$lib/api/client';
import { units } from '$lib/quantity/units.svelte';
import { settings } from '$lib/shell/settings.svelte';
import { get, patch } from '$lib/testing/server';
import CellField from './CellField.svelte';

const line = {
  id: 7,
  line: 4,
  cells: { APMX: { text: 'thirteen', unit: 'mm' }, OAL: { text: '72', unit: null } },
  unitsOfAdded: { LU: 'in', OAL: 'mm' },
  findings: []
} as unknown as Line;

describe('a cell of a delivery', () => {
  beforeEach(() => {
    cleanup();
    patch.mockReset().mockResolvedValue({});
    reload.mockReset().mockResolvedValue(undefined);
    render(CellField, { delivery: 3, line, symbol: 'APMX' });
  });

  const input = () => screen.getByLabelText<HTMLInputElement>('APMX of line 4');

  async function enter(text: string) {
    input().focus();
    await fireEvent.input(input(), { target: { value: text } });
    await fireEvent.keyDown(input(), { key: 'Enter' });
  }

  const sent = () => patch.mock.calls.map((call) => call[1].body.cells.APMX);

  it('says in which unit a number is meant where nothing is written yet', () => {
    cleanup();
    render(CellField, { delivery: 3, line, symbol: 'LU' });
    expect(screen.getByText('in')).toBeTruthy();
    cleanup();
    render(CellField, { delivery: 3, line, symbol: 'OAL' });
    expect(screen.getByText('mm')).toBeTruthy();
  });

  it('sends what was typed, and nothing that is as it was', async () => {
    await enter('13');
    expect(sent()).toEqual(['13']);
    await enter('thirteen');
    expect(sent()).toEqual(['13']);
  });

  it('keeps what is typed while the last correction is still on its way', async () => {
    let arrive = () => {};
    reload.mockReturnValueOnce(new Promise<void>((done) => (arrive = done)));
    await enter('wrong');
    input().focus();
    await fireEvent.input(input(), { target: { value: '13' } });
    arrive();
    await vi.waitFor(() => expect(reload).toHaveBeenCalled());
    await Promise.resolve();
    expect(input().value).toBe('13');
    await fireEvent.keyDown(input(), { key: 'Enter' });
    expect(sent()).toEqual(['wrong', '13']);
  });

  it('keeps what was typed to be seen where it was refused', async () => {
    patch.mockRejectedValueOnce(new Error('the server does not answer'));
    await enter('13');
    await vi.waitFor(() => expect(failed).toHaveBeenCalled());
    expect(input().value).toBe('13');
    await fireEvent.keyDown(input(), { key: 'Enter' });
    input().focus();
    await fireEvent.keyDown(input(), { key: 'Escape' });
    expect(input().value).toBe('thirteen');
  });

  it('takes back what was typed by Escape', async () => {
    input().focus();
    await fireEvent.input(input(), { target: { value: '13' } });
    await fireEvent.keyDown(input(), { key: 'Escape' });
    expect(input().value).toBe('thirteen');
    input().blur();
    expect(sent()).toEqual([]);
  });

  it('stays in the unit of its line when the view is switched while a number is typed', async () => {
    get.mockResolvedValueOnce({
      items: [{ metric: 'mm', inch: 'in', factor: 25.4, decimals: 2 }]
    });
    await units.load();
    cleanup();
    render(CellField, { delivery: 3, line, symbol: 'APMX', compact: true });
    expect(screen.queryByText('mm')).toBeNull();
    input().focus();
    await fireEvent.input(input(), { target: { value: '13' } });
    settings.unit = 'in';
    await vi.waitFor(() => expect(screen.getByText('mm')).toBeTruthy());
    expect(input().value).toBe('13');
    await fireEvent.keyDown(input(), { key: 'Enter' });
    expect(sent()).toEqual(['13']);
    settings.unit = 'mm';
  });
});
