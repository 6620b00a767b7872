// @vitest-environment jsdom
import { cleanup, fireEvent, screen } from '@testing-library/svelte';
import { beforeEach, describe, expect, it, vi } from 'vitest';

vi.mock('$lib/api/client', () => import('$lib/testing/server'));
vi.mock('$lib/shell/toast', () => ({ done: vi.fn(), failed: vi.fn() }));

import type { Delivery } from '$lib/api/client';
import { renderPart } from '$lib/testing/provided';
import { get, post } from '$lib/testing/server';
import TakeBar from './TakeBar.svelte';

const delivery = {
  id: 9,
  name: 'marram.zip',
  pass: 0,
  taken: 0,
  others: 0,
  hold: 0,
  query: 0,
  note: ''
} as unknown as Delivery;

const bar = (more: Partial<Delivery>) =>
  renderPart(TakeBar, { delivery: { ...delivery, ...more } });
const take = (name: RegExp) => screen.getByRole<HTMLButtonElement>('button', { name });

describe('the bar that takes what is right', () => {
  beforeEach(() => {
    cleanup();
    get.mockReset().mockResolvedValue({
      items: [
        { id: 5, name: 'Marram milling' },
        { id: 6, name: 'Drills' }
      ]
    });
    post.mockReset().mockResolvedValue({ what: '4 items', renumbered: 0, refused: 0 });
  });

  it('asks into which library tools go before it takes them', () => {
    bar({ pass: 12, hold: 1, query: 2 });
    expect(screen.getByText('12 tools')).toBeTruthy();
    expect(screen.getByText('3 lines will stay here')).toBeTruthy();
    expect(screen.getByLabelText('Library')).toBeTruthy();
    expect(take(/^Take 12 tools$/).disabled).toBe(true);
  });

  it('says what is no tool beside the tools', () => {
    bar({ pass: 12, others: 2 });
    expect(take(/^Take 10 tools and 2 other items$/)).toBeTruthy();
  });

  it('counts what is open, not what was taken before', () => {
    bar({ pass: 12, taken: 11 });
    expect(take(/^Take 1 tool$/)).toBeTruthy();
  });

  it('asks for no library where only holders and other parts enter', async () => {
    bar({ pass: 4, others: 4 });
    expect(screen.queryByLabelText('Library')).toBeNull();
    expect(screen.queryByLabelText('Numbering')).toBeNull();
    await fireEvent.click(take(/^Take 4 items$/));
    expect(post.mock.calls[0][0]).toBe('/api/v1/deliveries/{id}/accept');
    expect(post.mock.calls[0][1].body.library).toBeUndefined();
  });

  it('takes into the library for which the delivery came', async () => {
    bar({ pass: 3, library: 6 });
    await fireEvent.input(screen.getByLabelText('Section'), { target: { value: ' Roughing ' } });
    await fireEvent.click(take(/^Take 3 tools$/));
    expect(post.mock.calls[0][1].body).toEqual({
      library: 6,
      numbering: 'keep',
      section: 'Roughing'
    });
  });

  it('says why nothing can be taken, before what else is to be said', () => {
    bar({ hold: 1, note: 'no line names leaflet.txt' });
    expect(
      screen.getByText('Nothing can be taken now: 1 line must be corrected or looked at first.')
    ).toBeTruthy();
    expect(screen.queryByText(/leaflet/)).toBeNull();
  });

  it('says that all is taken, or that there is nothing', () => {
    bar({ pass: 7, taken: 7 });
    expect(screen.getByText('All is taken: 7 items.')).toBeTruthy();
    cleanup();
    bar({});
    expect(screen.getByText('Nothing to take.')).toBeTruthy();
    cleanup();
    bar({ note: 'no line names leaflet.txt' });
    expect(screen.getByText('No line names leaflet.txt')).toBeTruthy();
  });
});
