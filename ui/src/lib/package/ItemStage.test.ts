// @vitest-environment jsdom
import { cleanup, fireEvent, screen } from '@testing-library/svelte';
import { beforeEach, describe, expect, it, vi } from 'vitest';

vi.mock('$lib/api/client', () => import('$lib/testing/server'));
// What draws needs a window with a size.
vi.mock('$lib/solid/SolidStage.svelte', () => ({ default: vi.fn() }));
vi.mock('$lib/stack/StackDrawing.svelte', () => ({ default: vi.fn() }));
vi.mock('$lib/shell/toast', () => ({ done: vi.fn(), failed: vi.fn() }));

import type { Line, PlannedShape } from '$lib/api/client';
import { renderPart } from '$lib/testing/provided';
import { failed } from '$lib/shell/toast';
import { get, put } from '$lib/testing/server';
import ItemStage from './ItemStage.svelte';

const line = (more: Record<string, unknown> = {}) =>
  ({
    id: 7,
    line: 8,
    code: 'MC-1',
    kind: 'cutter',
    outline: null,
    files: [],
    findings: [],
    cells: {},
    stacks: [{ line: 8, parts: ['CHUCK-12'], cells: { NAME: { text: 'slim' } } }],
    ...more
  }) as unknown as Line;

/** A cutter of 80 mm in a chuck of 60 mm, standing out so far. */
const standing = (overhang: number, more: Partial<PlannedShape> = {}): PlannedShape =>
  ({
    name: 'slim',
    seat: 'ISO-40',
    parts: ['CHUCK-12'],
    missing: [],
    cutterLength: 80,
    clamping: 36,
    longest: 44,
    findings: [],
    shape: {
      spans: [],
      behind: [{ z: 0, r: 22 }],
      length: 60 + overhang,
      overhang,
      reach: overhang - 2,
      widest: 50
    },
    ...more
  }) as unknown as PlannedShape;

describe('how far a tool of a package stands out', () => {
  let asked: (overhang: number | undefined) => PlannedShape;

  beforeEach(() => {
    cleanup();
    asked = (overhang) => standing(overhang ?? 30);
    get.mockReset().mockImplementation((path: string, told) => {
      const query = (told as { params?: { query: Record<string, never> } } | undefined)?.params
        ?.query;
      return new Promise((answer) => {
        if (path.includes('/stacks/')) answer(asked(query?.overhang));
        else if (path.includes('/quantity')) answer({ valid: true, exact: query?.text });
        else answer({ items: [] });
      });
    });
    put.mockReset().mockResolvedValue({ lines: 1, undo: 4 });
  });

  const stage = (one: Line, editable = true) =>
    renderPart(ItemStage, { delivery: 3, line: one, files: [], editable });
  const overhang = () => screen.findByLabelText<HTMLInputElement>('Overhang');
  const type = async (text: string) => {
    await fireEvent.input(await overhang(), { target: { value: text } });
  };

  it('says what is clamped, what is needed and how far it may stand out', async () => {
    stage(line());
    expect((await overhang()).value).toBe('30');
    const text = document.body.textContent;
    expect(text).toContain('reach 28 mm');
    expect(text).toContain('held by 50 mm, at least 36 mm');
    expect(text).toContain('stands out 44 mm at most');
  });

  it('shows a typed overhang first and keeps it when that is said', async () => {
    stage(line());
    await type('40');
    const keep = await screen.findByRole('button', { name: 'Let it stand out 40 mm' });
    await vi.waitFor(() => expect(document.body.textContent).toContain('held by 40 mm'));
    expect(put).not.toHaveBeenCalled();
    await fireEvent.click(keep);
    expect(put.mock.calls[0][1]).toMatchObject({
      params: { path: { id: 3, lineId: 7, index: 0 } },
      body: { overhang: 40 }
    });
  });

  it('does not fall back to the old overhang while the new one is loaded', async () => {
    let said = 30;
    let release = () => {};
    const loaded = new Promise<void>((go) => (release = go));
    asked = (tried) => standing(tried ?? said);
    put.mockImplementation(() => {
      said = 40;
      const before = get.getMockImplementation()!;
      get.mockImplementation(async (path: string, told: never) => {
        await loaded;
        return before(path, told);
      });
      return Promise.resolve({ lines: 1, undo: 4 });
    });
    stage(line());
    await type('40');
    await fireEvent.click(await screen.findByRole('button', { name: 'Let it stand out 40 mm' }));
    const calls = get.mock.calls.length;
    await vi.waitFor(() => expect(get.mock.calls.length).toBeGreaterThan(calls));
    expect((await overhang()).value).toBe('40');
    release();
    await vi.waitFor(() => expect(screen.queryByRole('button', { name: /Let it/ })).toBeNull());
    expect((await overhang()).value).toBe('40');
  });

  it('keeps what was typed where the server refuses it', async () => {
    put.mockRejectedValue(new Error('somebody changed the line'));
    stage(line());
    await type('40');
    await fireEvent.click(await screen.findByRole('button', { name: 'Let it stand out 40 mm' }));
    await vi.waitFor(() => expect(failed).toHaveBeenCalled());
    expect((await overhang()).value).toBe('40');
    expect(screen.getByRole('button', { name: 'Let it stand out 40 mm' })).toBeTruthy();
  });

  it('goes back to what it was', async () => {
    stage(line());
    await type('40');
    await fireEvent.click(await screen.findByRole('button', { name: 'As it was' }));
    await vi.waitFor(async () => expect((await overhang()).value).toBe('30'));
    expect(put).not.toHaveBeenCalled();
  });

  it('offers nothing while what is tried is refused, and says why', async () => {
    asked = (tried) => {
      if (tried && tried > 80) throw new Error('the cutter is 80 mm long');
      return standing(tried ?? 30);
    };
    stage(line());
    await type('95');
    expect((await screen.findByRole('alert')).textContent).toContain('The cutter is 80 mm long');
    expect(screen.queryByRole('button', { name: /Let it stand out/ })).toBeNull();
  });

  it('says what stands against it', async () => {
    asked = () =>
      standing(60, {
        findings: [
          {
            severity: 'HOLD',
            code: 'clamped-short',
            message: 'clamped by 20 mm, at least 36 mm are needed',
            properties: []
          }
        ]
      });
    stage(line());
    const against = await screen.findByLabelText('What stands against it');
    expect(against.textContent).toContain('Clamped by 20 mm, at least 36 mm are needed');
  });

  it('names the parts for want of which nothing can be drawn', async () => {
    asked = () => standing(30, { shape: undefined, missing: ['CHUCK-12'] });
    stage(line());
    expect(
      await screen.findByText(
        'The stack cannot be drawn: CHUCK-12 is neither in this delivery nor in the shop.'
      )
    ).toBeTruthy();
  });

  it('cannot be changed by somebody who may not', async () => {
    stage(line(), false);
    expect((await overhang()).readOnly).toBe(true);
  });
});
