// @vitest-environment jsdom
import { cleanup, fireEvent, screen } from '@testing-library/svelte';
import { beforeEach, describe, expect, it, vi } from 'vitest';

vi.mock('$lib/api/client', () => import('$lib/testing/server'));
vi.mock('$lib/shell/toast', () => ({ done: vi.fn(), failed: vi.fn() }));

import type { Line } from '$lib/api/client';
import { renderPart } from '$lib/testing/provided';
import { get, put } from '$lib/testing/server';
import CuttingLines from './CuttingLines.svelte';

const cut = (speed: string, unit: string | null) => ({
  line: 8,
  cells: {
    MATERIAL: { text: 'p-steel', unit: null },
    VC: { text: speed, unit },
    FEED: { text: '0.05', unit: null }
  }
});

const line = (more: Partial<Line> = {}) =>
  ({ id: 7, line: 8, cutting: [cut('120', null)], findings: [], ...more }) as unknown as Line;

const shown = (one: Line, editable = true) =>
  renderPart(CuttingLines, { delivery: 3, line: one, editable });
const speed = () => screen.getByLabelText<HTMLInputElement>('vc of cutting data 1');
const sent = () => put.mock.calls.at(-1)?.[1].body.lines;

describe('cutting data of an item', () => {
  beforeEach(() => {
    cleanup();
    get.mockReset().mockResolvedValue({ items: [{ id: 'p-steel', name: 'plain steel' }] });
    put.mockReset().mockResolvedValue({ lines: 1, undo: 4 });
  });

  it('names the material and the units', async () => {
    shown(line());
    expect(await screen.findByText('plain steel')).toBeTruthy();
    expect(speed().closest('label')!.textContent).toContain('m/min');
    expect(speed().value).toBe('120');
  });

  it('names no unit beside one that is typed with the number', async () => {
    shown(line({ cutting: [cut('500 ft/min', null)] } as unknown as Partial<Line>));
    expect(await screen.findByText('plain steel')).toBeTruthy();
    expect(speed().closest('label')!.textContent).not.toContain('m/min');
  });

  it('says beside a number what is wrong with it', () => {
    const wrong = {
      code: 'cutting-number',
      severity: 'HOLD',
      message: "cutting speed 'fast': not a number",
      properties: ['VC']
    };
    shown(line({ cutting: [cut('fast', null)], findings: [wrong] } as unknown as Partial<Line>));
    expect(screen.getByText("Cutting speed 'fast': not a number")).toBeTruthy();
    expect(speed().getAttribute('aria-invalid')).toBe('true');
    expect(screen.getByLabelText('f of cutting data 1').getAttribute('aria-invalid')).toBe('false');
  });

  it('corrects one number and leaves the others as they came', async () => {
    shown(line());
    await fireEvent.change(speed(), { target: { value: '180' } });
    expect(sent()).toEqual([{ MATERIAL: 'p-steel', VC: '180', FEED: '0.05' }]);
  });

  it('keeps the unit that stands there, unless another is typed', async () => {
    shown(line({ cutting: [cut('400', 'ft/min')] } as unknown as Partial<Line>));
    expect(speed().closest('label')!.textContent).toContain('ft/min');
    await fireEvent.change(speed(), { target: { value: '500' } });
    expect(sent()[0].VC).toBe('500 ft/min');
    await fireEvent.change(speed(), { target: { value: '150 m/min' } });
    expect(sent()[0].VC).toBe('150 m/min');
  });

  it('takes a number away that is emptied, and a line that is removed', async () => {
    shown(line());
    await fireEvent.change(speed(), { target: { value: ' ' } });
    expect(sent()).toEqual([{ MATERIAL: 'p-steel', FEED: '0.05' }]);
    await fireEvent.click(screen.getByRole('button', { name: 'Remove' }));
    expect(sent()).toEqual([]);
  });

  it('is only looked at by those who may not change it', () => {
    shown(line(), false);
    expect(screen.getByText('120')).toBeTruthy();
    expect(screen.queryByRole('textbox')).toBeNull();
    expect(screen.queryByRole('button')).toBeNull();
  });

  it('says that none came', () => {
    shown(line({ cutting: [] }));
    expect(screen.getByText('None comes with it.')).toBeTruthy();
  });
});
