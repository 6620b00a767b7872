// @vitest-environment jsdom
import { cleanup, fireEvent, screen } from '@testing-library/svelte';
import { beforeEach, describe, expect, it, vi } from 'vitest';

vi.mock('$lib/api/client', () => import('$lib/testing/server'));
vi.mock('$lib/shell/toast', () => ({ done: vi.fn(), failed: vi.fn() }));

import type { Line } from '$lib/api/client';
import { renderPart } from '$lib/testing/provided';
import { get, post } from '$lib/testing/server';
import VendorChange from './VendorChange.svelte';

const line = { id: 7, code: 'MC-1', cells: {}, findings: [], choice: null } as unknown as Line;
const fields = [
  { field: 'LU', before: '30 mm', now: '32 mm', ours: '31 mm', outcome: 'CONFLICT' },
  { field: 'RPMX', before: '26000 1/min', now: '', ours: '26000 1/min', outcome: 'WITHDRAWN' },
  { field: 'OAL', before: '93 mm', now: '92 mm', ours: '93 mm', outcome: 'FOLLOWS' },
  {
    field: 'SIG',
    before: '140 deg',
    now: "'blunt' is no number",
    ours: '140 deg',
    outcome: 'UNREAD'
  },
  { field: 'COATING', before: 'TX-4', now: 'TX-5', ours: 'TX-5', outcome: 'AGREES' }
];

describe('what a vendor changed of an item', () => {
  let part: ReturnType<typeof renderPart>;

  beforeEach(async () => {
    cleanup();
    post.mockReset().mockResolvedValue({ lines: 1, undo: 2 });
    get
      .mockReset()
      .mockImplementation((path: string) =>
        Promise.resolve(
          path.endsWith('/properties')
            ? { items: [{ symbol: 'LU', name: 'usable length', sentence: 'How deep.' }] }
            : { before: '2026-1', fields }
        )
      );
    part = renderPart(VendorChange, { delivery: 3, line, editable: true });
    await screen.findByText('Changed since 2026-1');
  });

  const row = (symbol: string) => screen.getByText(symbol).closest('tr')!;
  const settled = () => post.mock.calls.at(-1)?.[1].body;

  it('shows what stood, what stands now and what the shop has, by name', async () => {
    await screen.findByText('usable length');
    for (const text of ['30 mm', '32 mm', '31 mm', 'you decide'])
      expect(row('LU').textContent).toContain(text);
    expect(row('RPMX').textContent).toContain('no longer said');
  });

  it('does not say of what could not be read that it is no longer said', async () => {
    await screen.findByText('usable length');
    expect(row('SIG').textContent).toContain("'blunt' is no number");
    expect(row('SIG').textContent).toContain('could not be read');
    expect(row('SIG').querySelector('input')).toBeNull();
  });

  it('offers nothing to decide where both say the same', () => {
    expect(row('COATING').querySelector('input')).toBeNull();
    expect(row('LU').querySelector('input')).toBeTruthy();
  });

  it('keeps ours where nothing is marked', async () => {
    const follows = screen.getByLabelText<HTMLInputElement>('Take OAL from the vendor');
    if (follows.checked) await fireEvent.click(follows);
    await fireEvent.click(screen.getByRole('button', { name: 'Keep ours' }));
    expect(settled()).toMatchObject({ answer: 'keep', lines: [7] });
  });

  it('does not take what nobody could read although a correction proposed it', async () => {
    const choice = { answer: 'MERGE', fields: ['SIG'], proposed: true };
    await part.change({ delivery: 3, line: { ...line, choice }, editable: true });
    await fireEvent.click(await screen.findByRole('button', { name: 'Keep ours' }));
    expect(settled()).toMatchObject({ answer: 'keep' });
  });

  it('keeps what is marked when there is news of the same line', async () => {
    const box = () => screen.getByLabelText<HTMLInputElement>('Take LU from the vendor');
    await fireEvent.click(box());
    const news = { ...line, cells: { OAL: { text: '92' } } };
    await part.change({ delivery: 3, line: news, editable: true });
    expect(box().checked).toBe(true);
    await part.change({ delivery: 3, line: { ...news, id: 8 }, editable: true });
    await vi.waitFor(() => expect(box().checked).toBe(false));
  });

  it('takes what is marked, value by value', async () => {
    await fireEvent.click(screen.getByLabelText('Take LU from the vendor'));
    await fireEvent.click(
      screen.getByRole('button', { name: 'Take what is marked, keep the rest' })
    );
    expect(settled().answer).toBe('merge');
    expect(settled().fields).toContain('LU');
    expect(settled().fields).not.toContain('RPMX');
  });
});
