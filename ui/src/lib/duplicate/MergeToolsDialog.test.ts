// @vitest-environment jsdom
import { cleanup, fireEvent, screen } from '@testing-library/svelte';
import { beforeEach, describe, expect, it, vi } from 'vitest';

vi.mock('$lib/api/client', () => import('$lib/testing/server'));
vi.mock('$lib/shell/toast', () => ({ done: vi.fn(), failed: vi.fn() }));

import type { MergeBody } from '$lib/api/client';
import { renderPart } from '$lib/testing/provided';
import { post } from '$lib/testing/server';
import MergeToolsDialog from './MergeToolsDialog.svelte';

const order: MergeBody = { keep: 1, others: [2], values: { LU: 2 } };

describe('merging look-alikes', () => {
  const onclose = vi.fn();
  const previews = () => post.mock.calls.filter((call) => call[1].params?.query?.preview);
  const merges = () => post.mock.calls.filter((call) => !call[1].params?.query?.preview);

  beforeEach(() => {
    cleanup();
    onclose.mockReset();
    post.mockReset().mockResolvedValue({
      code: 'MC-1',
      sentences: ['two lines of cutting data go to MC-1', 'a pocket of M1 Heron holds MC-1 then']
    });
  });

  const dialog = (more: Partial<MergeBody> = {}) =>
    renderPart(MergeToolsDialog, {
      order: { ...order, ...more },
      kept: 'MC-1',
      codes: ['MC-2'],
      onclose
    });
  const merge = () => screen.findByRole<HTMLButtonElement>('button', { name: 'Merge' });

  it('says what follows and what is taken over before anything is done', async () => {
    dialog();
    expect(await screen.findByText('Two lines of cutting data go to MC-1')).toBeTruthy();
    expect(screen.getByText('MC-1 takes LU over and has a new version.')).toBeTruthy();
    expect(merges()).toHaveLength(0);
  });

  it('says when nothing else refers to what goes', async () => {
    post.mockResolvedValue({ code: 'MC-1', sentences: [] });
    dialog({ values: undefined });
    expect(await screen.findByText('Nothing else refers to MC-2.')).toBeTruthy();
    expect(screen.queryByText(/has a new version/)).toBeNull();
  });

  it('merges once and closes without asking what a second merge would do', async () => {
    dialog();
    await vi.waitFor(async () => expect((await merge()).disabled).toBe(false));
    await fireEvent.click(await merge());
    await vi.waitFor(() => expect(onclose).toHaveBeenCalled());
    expect(merges()).toHaveLength(1);
    expect(merges()[0][1].body).toEqual(order);
    expect(previews()).toHaveLength(1);
  });

  it('stays open and says why nothing was merged', async () => {
    dialog();
    await vi.waitFor(async () => expect((await merge()).disabled).toBe(false));
    post.mockRejectedValueOnce(new Error('somebody changed MC-2 meanwhile'));
    await fireEvent.click(await merge());
    expect((await screen.findByRole('alert')).textContent).toContain(
      'Somebody changed MC-2 meanwhile'
    );
    expect(onclose).not.toHaveBeenCalled();
  });

  it('offers nothing while it is not known what follows', async () => {
    post.mockRejectedValue(new Error('MC-2 is gone'));
    dialog();
    expect(await screen.findByText(/MC-2 is gone/)).toBeTruthy();
    expect((await merge()).disabled).toBe(true);
  });
});
