// @vitest-environment jsdom
import { cleanup, fireEvent, screen } from '@testing-library/svelte';
import { beforeEach, describe, expect, it, vi } from 'vitest';

vi.mock('$lib/api/client', () => import('$lib/testing/server'));
vi.mock('$lib/shell/toast', () => ({ done: vi.fn(), failed: vi.fn() }));

import type { Line } from '$lib/api/client';
import { renderPart } from '$lib/testing/provided';
import { get, post } from '$lib/testing/server';
import ItemSheet from './ItemSheet.svelte';

const cell = (text: string, unit: string | null = 'mm') => ({ text, unit, implied: null });
const said = (severity: string, code: string, message: string, ...properties: string[]) => ({
  severity,
  code,
  message,
  properties
});

const line = (more: Record<string, unknown> = {}) =>
  ({
    id: 7,
    line: 8,
    code: 'MC-1',
    name: 'Mill',
    kind: 'holder',
    vendorItem: 'V-4711',
    disposition: 'pass',
    inspected: true,
    findings: [],
    cutting: [],
    unitsOfAdded: { WT: 'kg' },
    cells: { CODE: cell('MC-1'), OAL: cell('72'), BODIES: cell('2 x 44'), LF: cell('70') },
    ...more
  }) as unknown as Line;

const answers: Record<string, unknown> = {
  '/api/v1/classes': { items: [] },
  '/api/v1/materials': { items: [] },
  '/api/v1/properties': {
    items: [{ symbol: 'OAL', name: 'overall length', sentence: 'From end to end.', unit: 'mm' }]
  },
  '/api/v1/deliveries/{id}/lines/{lineId}/vendor': { before: '', fields: [] }
};

describe('what an item of a package is', () => {
  const oninspected = vi.fn();

  beforeEach(() => {
    cleanup();
    oninspected.mockReset();
    post.mockReset().mockResolvedValue({});
    get.mockReset().mockImplementation((path: string) => Promise.resolve(answers[path] ?? {}));
  });

  const sheet = (one: Line, editable = true) =>
    renderPart(ItemSheet, { delivery: 3, line: one, editable, vendor: 'Marram', oninspected });

  it('names what its symbols mean', async () => {
    sheet(line());
    expect((await screen.findByText('overall length')).parentElement!.title).toBe(
      'From end to end.'
    );
    expect(screen.getByText('V-4711')).toBeTruthy();
  });

  it('has what is asked for first, and nothing that is only worked with', () => {
    const asked = said('QUERY', 'missing', 'the mass is not given yet', 'WT');
    sheet(line({ disposition: 'query', findings: [asked] }));
    const fields = screen
      .getAllByRole<HTMLInputElement>('textbox')
      .map((field) => field.getAttribute('aria-label'));
    expect(fields).toEqual(['CODE of line 8', 'WT of line 8', 'OAL of line 8', 'LF of line 8']);
    expect(screen.getByText('The mass is not given yet')).toBeTruthy();
  });

  it('says what keeps it on top, and the rest below', () => {
    const held = said('HOLD', 'value', 'OAL: 72 is not possible', 'OAL');
    const noted = said('NOTE', 'model-bodies', 'cylinders are read from its model');
    sheet(line({ disposition: 'hold', findings: [held, noted] }));
    expect(screen.getByText('cannot enter')).toBeTruthy();
    expect(screen.getByText('OAL: 72 is not possible')).toBeTruthy();
    expect(screen.getByLabelText('What else is said').textContent).toContain(
      'Cylinders are read from its model'
    );
    expect(screen.getByLabelText('What else is said').textContent).not.toContain('not possible');
  });

  it('goes on, and says of a doubtful one that it is right', async () => {
    sheet(line());
    await fireEvent.click(screen.getByRole('button', { name: 'Next' }));
    expect(oninspected).toHaveBeenCalledOnce();
    cleanup();
    sheet(line({ disposition: 'query' }));
    expect(screen.getByRole('button', { name: 'It is right, next' })).toBeTruthy();
  });

  it('has one inspected that was not', async () => {
    sheet(line({ inspected: false }));
    expect(screen.getByText('not inspected yet')).toBeTruthy();
    await fireEvent.click(screen.getByRole('button', { name: 'Inspect this one' }));
    expect(post.mock.calls[0][1].body).toEqual({ lines: [7] });
    expect(oninspected).not.toHaveBeenCalled();
  });

  it('can only be read where nothing may be changed', () => {
    sheet(line(), false);
    expect(screen.queryByRole('textbox')).toBeNull();
    expect(screen.queryByRole('button')).toBeNull();
    expect(screen.getByText('72 mm')).toBeTruthy();
  });
});
