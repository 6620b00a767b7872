// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen } from '@testing-library/svelte';
import { beforeEach, describe, expect, it, vi } from 'vitest';

vi.mock('$lib/api/client', () => import('$lib/testing/server'));

import type { MachineView, PlaceView } from '$lib/api/client';
import { units } from '$lib/quantity/units.svelte';
import { settings } from '$lib/shell/settings.svelte';
import { get } from '$lib/testing/server';
import PocketDetail from './PocketDetail.svelte';

const view = {
  placeWord: 'pocket',
  machine: { storages: [], spindles: [], habits: {}, numbering: { scheme: 'NUMBER_APART' } },
  storages: [{ id: 'C', placeWord: 'pocket', places: ['1'], layout: {} }]
} as unknown as MachineView;
const planned = {
  place: '1',
  toolId: 7,
  code: 'MC-1',
  name: 'Mill',
  number: 4,
  jobs: [],
  measures: [
    { field: 'length', title: 'length', value: '98.214', needed: true, signed: false },
    { field: 'diameter', title: 'diameter', value: '5.992', needed: true, signed: false }
  ]
} as unknown as PlaceView;

describe('measures of a pocket', () => {
  const onmeasure = vi.fn();

  beforeEach(async () => {
    cleanup();
    onmeasure.mockReset().mockResolvedValue(true);
    get.mockReset().mockResolvedValueOnce({
      items: [{ metric: 'mm', inch: 'in', factor: 25.4, decimals: 2 }]
    });
    await units.load();
    get.mockReset();
  });

  function show() {
    render(PocketDetail, {
      view,
      place: '1',
      planned,
      editable: true,
      onmeasure,
      onkeep: () => {},
      onclear: () => {}
    });
  }

  const keep = () => fireEvent.click(screen.getByText('Save measures'));

  it('sends only what was given anew, however it is looked at', async () => {
    settings.unit = 'in';
    show();
    get.mockResolvedValue({ valid: true, exact: '6.0325' });
    await fireEvent.input(screen.getByLabelText('Measured diameter'), {
      target: { value: '.2375' }
    });
    await keep();
    await vi.waitFor(() => expect(onmeasure).toHaveBeenCalledWith({ diameter: '6.0325' }));
  });

  it('takes a measure away where its field is emptied', async () => {
    settings.unit = 'mm';
    show();
    await fireEvent.input(screen.getByLabelText('Measured length'), { target: { value: '' } });
    await keep();
    await vi.waitFor(() => expect(onmeasure).toHaveBeenCalledWith({ length: '' }));
  });

  it('keeps nothing while a field holds no number', async () => {
    settings.unit = 'mm';
    show();
    get.mockResolvedValue({ valid: false, why: 'not a number' });
    await fireEvent.input(screen.getByLabelText('Measured length'), {
      target: { value: 'long' }
    });
    await keep();
    expect((await screen.findByRole('alert')).textContent).toContain("'long': not a number");
    expect(onmeasure).not.toHaveBeenCalled();
  });
});
