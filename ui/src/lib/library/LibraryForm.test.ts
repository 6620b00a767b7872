// @vitest-environment jsdom
import { cleanup, fireEvent, screen } from '@testing-library/svelte';
import { beforeEach, describe, expect, it, vi } from 'vitest';

vi.mock('$lib/api/client', () => import('$lib/testing/server'));

import type { LibrarySettings } from '$lib/api/client';
import { renderPart } from '$lib/testing/provided';
import { get } from '$lib/testing/server';
import LibraryForm from './LibraryForm.svelte';

const settings = {
  name: 'Heron milling',
  purpose: 'steel on the Heron',
  processes: ['milling'],
  follows: false,
  labels: [
    { kind: 'MACHINE', label: 'Heron' },
    { kind: 'MACHINE', label: 'Plover' },
    { kind: 'JOB', label: 'bracket 2041' }
  ],
  ranges: [{ of: 'milling', first: 1, last: 99 }]
} as unknown as LibrarySettings;

describe('the form of a library', () => {
  const send = vi.fn();

  beforeEach(() => {
    cleanup();
    get.mockReset().mockResolvedValue({ items: [{ id: 'drill-twist', title: 'twist drill' }] });
    send.mockReset().mockResolvedValue(undefined);
  });

  const form = (before: LibrarySettings | null) =>
    renderPart(LibraryForm, { settings: before, submit: 'Keep', send });
  const field = (label: string) => screen.getByLabelText<HTMLInputElement>(label);
  const keep = () => fireEvent.click(screen.getByRole('button', { name: 'Keep' }));

  it('sends only what is changed, so that others may change the rest', async () => {
    form(settings);
    expect(field('Machines').value).toBe('Heron, Plover');
    await keep();
    expect(send.mock.calls[0][0]).toEqual({});
    await fireEvent.input(field('What it is for'), { target: { value: 'all steel' } });
    await keep();
    expect(send.mock.calls[1][0]).toEqual({ purpose: 'all steel' });
  });

  it('sends all of a new library', async () => {
    form(null);
    await fireEvent.input(field('Name'), { target: { value: 'Fresh' } });
    await keep();
    expect(send.mock.calls[0][0]).toEqual({
      name: 'Fresh',
      purpose: '',
      processes: [],
      follows: true,
      labels: [],
      ranges: []
    });
  });

  it('takes labels apart at commas and leaves empty ones out', async () => {
    form(settings);
    await fireEvent.input(field('Machines'), { target: { value: ' Heron ,, Gannet,' } });
    await fireEvent.input(field('Jobs'), { target: { value: '' } });
    await keep();
    expect(send.mock.calls[0][0].labels).toEqual([
      { kind: 'MACHINE', label: 'Heron' },
      { kind: 'MACHINE', label: 'Gannet' }
    ]);
  });

  it('adds a range of numbers and takes one away', async () => {
    form(settings);
    await fireEvent.click(screen.getByRole('button', { name: 'Add a range' }));
    await fireEvent.input(field('First number, range 2'), { target: { value: '1001' } });
    await fireEvent.input(field('Last number, range 2'), { target: { value: ' 1999 ' } });
    await fireEvent.click(screen.getAllByRole('button', { name: 'Remove' })[0]);
    await keep();
    expect(send.mock.calls[0][0].ranges).toEqual([{ of: 'milling', first: 1001, last: 1999 }]);
  });

  it('sends what is no whole number as none, for the server to refuse', async () => {
    form(settings);
    for (const text of ['ten', '1.5', '-4', '99999999999', '']) {
      await fireEvent.input(field('First number, range 1'), { target: { value: text } });
      await keep();
      expect(send.mock.calls.at(-1)?.[0].ranges[0].first).toBe(0);
    }
  });

  it('says in words why it is refused and keeps what was typed', async () => {
    send.mockRejectedValue(new Error('there is a library Heron milling already'));
    form(settings);
    await fireEvent.input(field('What it is for'), { target: { value: 'all steel' } });
    await keep();
    expect((await screen.findByRole('alert')).textContent).toBe(
      'There is a library Heron milling already'
    );
    expect(field('What it is for').value).toBe('all steel');
    send.mockResolvedValue(undefined);
    await keep();
    await vi.waitFor(() => expect(screen.queryByRole('alert')).toBeNull());
  });

  it('says that a new one is for everything until processes are chosen', async () => {
    form(null);
    expect(screen.getByText('nothing chosen: for everything')).toBeTruthy();
    await fireEvent.click(screen.getByLabelText('turning'));
    expect(screen.queryByText('nothing chosen: for everything')).toBeNull();
    await fireEvent.input(field('Name'), { target: { value: 'Cormorant' } });
    await keep();
    expect(send.mock.calls[0][0]).toMatchObject({
      name: 'Cormorant',
      processes: ['turning'],
      follows: true,
      labels: [],
      ranges: []
    });
  });
});
