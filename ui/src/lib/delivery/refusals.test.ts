// @vitest-environment jsdom
import { cleanup, fireEvent, screen } from '@testing-library/svelte';
import { beforeEach, describe, expect, it, vi } from 'vitest';

vi.mock('$lib/api/client', () => import('$lib/testing/server'));
vi.mock('$lib/shell/toast', () => ({ done: vi.fn(), failed: vi.fn() }));
// What draws needs a window with a size.
vi.mock('$lib/drawing/Strip.svelte', () => ({ default: vi.fn() }));
vi.mock('./Lines.svelte', () => ({ default: vi.fn() }));

import { failed } from '$lib/shell/toast';
import { renderPart } from '$lib/testing/provided';
import { get, post } from '$lib/testing/server';
import Beside from './Beside.svelte';
import Group from './Group.svelte';

const line = { id: 7, code: 'HM-EM10', disposition: 'hold', cells: {}, findings: [] };
const twin = {
  toolId: 4,
  code: 'HM-EM10',
  percent: 96,
  sameCode: true,
  differences: [{ field: 'LU', here: '24 mm', there: '22 mm' }]
};

describe('a decision that the server refuses', () => {
  beforeEach(() => {
    cleanup();
    get.mockReset().mockResolvedValue({ items: [twin] });
    post.mockReset().mockRejectedValueOnce(new Error('somebody else is working on this'));
    vi.mocked(failed).mockClear();
  });

  const refused = () => vi.waitFor(() => expect(failed).toHaveBeenCalledOnce());

  it('leaves in sight what was marked beside a line, until it is done', async () => {
    const onclose = vi.fn();
    renderPart(Beside, { delivery: 3, line, editable: true, onclose });
    const box = await screen.findByLabelText<HTMLInputElement>('Take LU from the line');
    await fireEvent.click(box);
    const take = screen.getByRole('button', { name: 'Take what is marked' });
    await fireEvent.click(take);
    await refused();
    expect(onclose).not.toHaveBeenCalled();
    expect(box.checked).toBe(true);
    post.mockResolvedValue({ lines: 1, undo: 2 });
    await fireEvent.click(take);
    await vi.waitFor(() => expect(onclose).toHaveBeenCalledOnce());
  });

  it('leaves the reason in its field with which lines were to be let in', async () => {
    const group = {
      code: 'oal-short',
      severity: 'HOLD',
      example: 'shorter than it cuts',
      count: 3,
      repairs: [],
      properties: [],
      allowable: true
    };
    renderPart(Group, { delivery: 3, files: [], group, editable: true, onbeside: vi.fn() });
    await fireEvent.click(screen.getByRole('button', { name: 'Let in with a reason' }));
    const reason = screen.getByLabelText<HTMLInputElement>('Reason');
    await fireEvent.input(reason, { target: { value: 'reground' } });
    await fireEvent.click(screen.getByRole('button', { name: 'Let in' }));
    await refused();
    expect(screen.getByLabelText<HTMLInputElement>('Reason').value).toBe('reground');
  });
});
