// @vitest-environment jsdom
import { cleanup, fireEvent, screen } from '@testing-library/svelte';
import { beforeEach, describe, expect, it, vi } from 'vitest';

vi.mock('$lib/api/client', () => import('$lib/testing/server'));
const done = vi.hoisted(() => vi.fn());
vi.mock('$lib/shell/toast', () => ({ done, failed: vi.fn() }));

import { renderPart } from '$lib/testing/provided';
import { post } from '$lib/testing/server';
import CopyDialog from './CopyDialog.svelte';

const rows = [
  { toolId: 1, libraryId: 4 },
  { toolId: 2, libraryId: 7 }
];
const answer = {
  entering: 1,
  here: 0,
  refused: 1,
  told: [{ toolId: 2, code: 'MC-2', outcome: 'REFUSED', why: 'Heron holds tools for milling' }]
};

describe('copying into a library', () => {
  const onclose = vi.fn();

  beforeEach(() => {
    cleanup();
    onclose.mockReset();
    done.mockReset();
    post.mockReset().mockResolvedValue(answer);
  });

  const dialog = (section?: string) =>
    renderPart(CopyDialog, { rows, library: { id: 5, name: 'Heron' }, section, onclose });
  const button = (name: string) => screen.findByRole<HTMLButtonElement>('button', { name });

  it('says where they go and how many enter before anything is done', async () => {
    dialog('Drills');
    expect(await screen.findByText('Copy 2 tools into Heron, Drills')).toBeTruthy();
    expect((await screen.findByText('1 tool will enter.')).textContent).toBeTruthy();
    expect(post.mock.calls.every((call) => call[1].params.query?.preview)).toBe(true);
  });

  it.each([
    ['Copy', false, 'Copied'],
    ['Move', true, 'Moved']
  ])('%s says what was done', async (name, move, told) => {
    dialog();
    await fireEvent.click(await button(name));
    expect(post.mock.calls.at(-1)?.[1].body).toMatchObject({
      move,
      numbering: 'keep',
      picks: [
        { from: 4, tools: [1] },
        { from: 7, tools: [2] }
      ]
    });
    await vi.waitFor(() => expect(onclose).toHaveBeenCalled());
    expect(done.mock.calls[0][0]).toBe(`${told} 1 tool into Heron; 1 stayed out`);
  });

  it('offers nothing where none may enter', async () => {
    post.mockResolvedValue({ ...answer, entering: 0, refused: 2 });
    dialog();
    expect((await button('Copy')).disabled).toBe(true);
    expect((await button('Move')).disabled).toBe(true);
  });
});
