// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen } from '@testing-library/svelte';
import { beforeEach, describe, expect, it, vi } from 'vitest';

vi.mock('$lib/api/client', () => import('$lib/testing/server'));

import { Draft } from './draft.svelte';
import Notes from './Notes.svelte';

describe('notes of a tool', () => {
  let draft: Draft;

  beforeEach(() => {
    cleanup();
    draft = new Draft();
    draft.notes = { '': 'regrind twice at most', Shelf: 'B4' };
  });

  async function add(heading: string, text: string) {
    await fireEvent.click(screen.getByRole('button', { name: 'Add a note' }));
    await fireEvent.input(screen.getByLabelText('Heading of the note'), {
      target: { value: heading }
    });
    await fireEvent.change(screen.getByLabelText('New note'), { target: { value: text } });
  }

  it('are added under their headings', async () => {
    render(Notes, { draft });
    await add(' Supplier ', ' by the tray ');
    expect(draft.notes.Supplier).toBe('by the tray');
    expect(draft.changed).toBe(true);
  });

  it('never replace what stands under the same heading', async () => {
    render(Notes, { draft });
    await add('', 'not in titanium');
    expect(draft.notes['']).toBe('regrind twice at most\nnot in titanium');
    await add('Shelf', 'later C1');
    expect(draft.notes.Shelf).toBe('B4\nlater C1');
  });

  it('are taken out by emptying them', async () => {
    render(Notes, { draft });
    await fireEvent.change(screen.getByLabelText('Shelf'), { target: { value: ' ' } });
    expect(draft.notes).toEqual({ '': 'regrind twice at most' });
  });

  it('are only read by those who may not change the tool', () => {
    render(Notes, { draft, readonly: true });
    expect(screen.queryByRole('button', { name: 'Add a note' })).toBeNull();
    expect(screen.getByText('B4')).toBeTruthy();
  });
});
