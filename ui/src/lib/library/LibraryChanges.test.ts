// @vitest-environment jsdom
import { cleanup, screen } from '@testing-library/svelte';
import { beforeEach, describe, expect, it, vi } from 'vitest';

vi.mock('$lib/api/client', () => import('$lib/testing/server'));

import type { LibraryLine } from '$lib/api/client';
import { renderPart } from '$lib/testing/provided';
import { get } from '$lib/testing/server';
import LibraryChanges from './LibraryChanges.svelte';

const lines = [12, 11, 10].map(
  (id) => ({ id, at: '2026-11-02T09:00:00Z', text: `deed ${id}` }) as unknown as LibraryLine
);
const nothing = { added: 0, removed: 0, changed: 0, settings: '', tools: [] };

describe('two states of a library', () => {
  beforeEach(() => {
    cleanup();
    get.mockReset();
  });

  async function compared(answer: Record<string, unknown>) {
    get.mockResolvedValue({ ...nothing, ...answer });
    renderPart(LibraryChanges, { id: 5, lines, from: lines[2] });
    await vi.waitFor(() => expect(screen.queryByText('Comparing …')).toBeNull());
  }

  it('are compared from the chosen line until now', async () => {
    await compared({});
    expect(get.mock.calls[0][1].params).toMatchObject({ path: { id: 5 }, query: { from: 10 } });
    expect(screen.getByRole('status').textContent).toBe('It holds the same tools in the same way');
  });

  it('say what came, went and is otherwise, tool by tool', async () => {
    await compared({
      added: 1,
      removed: 2,
      changed: 1,
      tools: [
        { toolId: 1, code: 'MC-1', became: 'ADDED', changes: ['number 4'] },
        { toolId: 2, code: 'MC-2', became: 'REMOVED', changes: [] },
        { toolId: 3, code: 'MC-3', became: 'CHANGED', changes: ['number 4 to 7', 'section Drills'] }
      ]
    });
    expect(screen.getByText('1 tool came, 2 gone, 1 otherwise')).toBeTruthy();
    const row = (code: string) => screen.getByText(code).closest('tr')!.textContent;
    expect(row('MC-1')).toContain('came, number 4');
    expect(row('MC-2')).toContain('gone,');
    expect(row('MC-3')).toContain('number 4 to 7, section Drills');
    expect(screen.getByText('and more like these')).toBeTruthy();
    expect(screen.getByText('MC-3').getAttribute('href')).toBe('/tools/3');
  });

  it('say what else of the library changed, without a word about its tools', async () => {
    await compared({ settings: 'named Heron before' });
    expect(screen.getByText('Named Heron before')).toBeTruthy();
    expect(screen.queryByText(/same tools/)).toBeNull();
  });
});
