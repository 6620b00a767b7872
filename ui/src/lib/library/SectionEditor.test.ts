// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen } from '@testing-library/svelte';
import { beforeEach, describe, expect, it, vi } from 'vitest';

const calls = vi.hoisted(() => ({ post: vi.fn(), patch: vi.fn(), del: vi.fn() }));
vi.mock('$lib/api/client', () => ({
  api: { POST: calls.post, PATCH: calls.patch, DELETE: calls.del },
  ask: (answer: Promise<unknown>) => answer
}));
vi.mock('$lib/shell/toast', () => ({ done: vi.fn(), failed: vi.fn() }));

import type { SectionView } from '$lib/api/client';
import SectionEditor from './SectionEditor.svelte';

const section = (id: number, name: string, parent: number | null = null) =>
  ({ id, name, parent, path: name, tools: 0 }) as unknown as SectionView;
const sections = [section(1, 'Roughing'), section(2, 'Finishing'), section(3, 'Drills')];

describe('the sections of a library', () => {
  beforeEach(async () => {
    cleanup();
    for (const call of Object.values(calls)) call.mockReset().mockResolvedValue({ undo: 1 });
    render(SectionEditor, { library: 5, sections });
    await fireEvent.click(screen.getByRole('button', { name: 'Edit sections' }));
    await screen.findByLabelText('New section');
  });

  const name = (of: string) => screen.getByLabelText<HTMLInputElement>(`Name of section ${of}`);
  const button = (label: string) => screen.getByRole<HTMLButtonElement>('button', { name: label });
  const changed = () =>
    calls.patch.mock.calls.map((call) => [call[1].params.path.sectionId, call[1].body]);

  it('are renamed, and left where the name is empty or the same', async () => {
    await fireEvent.change(name('Drills'), { target: { value: 'Drills, solid' } });
    await vi.waitFor(() => expect(name('Drills').disabled).toBe(false));
    await fireEvent.change(name('Roughing'), { target: { value: '  ' } });
    await fireEvent.change(name('Finishing'), { target: { value: ' Finishing ' } });
    expect(changed()).toEqual([[3, { name: 'Drills, solid' }]]);
  });

  it('go up by key, not beyond the ends', async () => {
    expect(button('Move Roughing up').disabled).toBe(true);
    expect(button('Move Drills down').disabled).toBe(true);
    await fireEvent.keyDown(name('Finishing'), { key: 'ArrowUp' });
    await fireEvent.keyDown(name('Roughing'), { key: 'ArrowUp', altKey: true });
    expect(changed()).toEqual([]);
    await fireEvent.keyDown(name('Finishing'), { key: 'ArrowUp', altKey: true });
    expect(changed()).toEqual([[2, { before: 1 }]]);
  });

  it('go down behind the next one', async () => {
    await fireEvent.click(button('Move Roughing down'));
    expect(changed()).toEqual([[1, { before: 3 }]]);
  });

  it.each([
    ['at the end', undefined, 'new section'],
    ['inside one', 3, 'new section in Drills']
  ])('are added %s', async (_, parent, hint) => {
    const fresh = screen.getByLabelText<HTMLInputElement>('New section');
    expect(button('Add').disabled).toBe(true);
    if (parent) await fireEvent.click(screen.getAllByText('Add inside')[2]);
    expect(fresh.placeholder).toBe(hint);
    await fireEvent.input(fresh, { target: { value: 'Threading' } });
    await fireEvent.click(button('Add'));
    expect(calls.post.mock.calls[0][1].body).toEqual({ name: 'Threading', parent });
  });

  it('keep what was typed where the server refuses', async () => {
    calls.post.mockRejectedValue(new Error('there is a section Drills already'));
    const fresh = screen.getByLabelText<HTMLInputElement>('New section');
    await fireEvent.input(fresh, { target: { value: 'Drills' } });
    await fireEvent.click(button('Add'));
    await vi.waitFor(() => expect(button('Add').disabled).toBe(false));
    expect(fresh.value).toBe('Drills');
  });

  it('are deleted one by one', async () => {
    await fireEvent.click(button('Delete section Finishing'));
    expect(calls.del.mock.calls[0][1].params.path).toEqual({ id: 5, sectionId: 2 });
  });
});
