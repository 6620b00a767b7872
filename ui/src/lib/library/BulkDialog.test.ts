// @vitest-environment jsdom
import { cleanup, fireEvent, screen } from '@testing-library/svelte';
import { beforeEach, describe, expect, it, vi } from 'vitest';

vi.mock('$lib/api/client', () => import('$lib/testing/server'));
vi.mock('$lib/shell/toast', () => ({ done: vi.fn(), failed: vi.fn() }));

import { renderPart } from '$lib/testing/provided';
import { get, post } from '$lib/testing/server';
import BulkDialog from './BulkDialog.svelte';

const zero = 'the formula divides by zero';
const seen = {
  changed: 897,
  same: 1,
  refused: 5,
  edited: [{ toolId: 1, code: 'MC-1', before: '20 mm', after: '22 mm' }],
  left: [1, 2, 3, 4, 5].map((id) => ({ code: `MC-${id}0`, why: zero }))
};

describe('one change to many tools', () => {
  const onclose = vi.fn();
  const previews = () => post.mock.calls.filter((call) => call[1].params?.query?.preview === true);
  const changes = () => post.mock.calls.filter((call) => !call[1].params?.query?.preview);

  beforeEach(() => {
    cleanup();
    onclose.mockReset();
    get.mockReset().mockResolvedValue({
      items: [
        { symbol: 'LU', name: 'usable length' },
        { symbol: 'name', name: 'name' }
      ]
    });
    post.mockReset().mockResolvedValue(seen);
    renderPart(BulkDialog, { tools: [1, 2, 3], library: 5, onclose });
  });

  const field = (label: string) => screen.getByLabelText<HTMLInputElement>(label);

  async function formula() {
    await fireEvent.click(await screen.findByRole('button', { name: 'By a formula' }));
    await fireEvent.input(field('Property'), { target: { value: 'lu' } });
    await fireEvent.input(field('Formula'), { target: { value: 'APMX + 2' } });
    await screen.findByText('897 tools');
  }

  it('names the property that is typed', async () => {
    await fireEvent.input(await screen.findByLabelText('Property'), { target: { value: ' lu ' } });
    expect(await screen.findByText('usable length', { selector: 'span' })).toBeTruthy();
  });

  it('shows before anything changes what would, and what cannot with its reason once', async () => {
    await formula();
    expect(previews().at(-1)?.[1].body).toMatchObject({
      tools: [1, 2, 3],
      kind: 'FORMULA',
      symbol: 'LU',
      text: 'APMX + 2'
    });
    expect(screen.getByRole('status').textContent).toContain('1 is so already, 5 cannot');
    expect(screen.getByText(/divides by zero/).textContent).toBe(
      'The formula divides by zero: MC-10, MC-20, MC-30, MC-40 and others'
    );
    expect(screen.getByText('MC-1').closest('tr')!.textContent).toContain('20 mm → 22 mm');
    expect(changes()).toEqual([]);
  });

  it('changes as many as were shown, and says so to the server', async () => {
    await formula();
    post.mockResolvedValue({ ...seen, undo: 3 });
    await fireEvent.click(screen.getByRole('button', { name: 'Change 897 tools' }));
    expect(changes()[0][1].body).toMatchObject({ expected: 897, symbol: 'LU', kind: 'FORMULA' });
    await vi.waitFor(() => expect(onclose).toHaveBeenCalled());
  });

  it('asks nothing of the server while a property is not known', async () => {
    await fireEvent.input(await screen.findByLabelText('Property'), { target: { value: 'XYZ' } });
    await fireEvent.input(field('Value'), { target: { value: '3' } });
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Change them' }).disabled).toBe(
      true
    );
    expect(post).not.toHaveBeenCalled();
  });

  it('says in words what the server refuses', async () => {
    post.mockRejectedValue(new Error('position 6: a number is missing after +'));
    await fireEvent.click(await screen.findByRole('button', { name: 'By a formula' }));
    await fireEvent.input(field('Property'), { target: { value: 'LU' } });
    await fireEvent.input(field('Formula'), { target: { value: 'APMX +' } });
    expect((await screen.findByRole('alert')).textContent).toBe(
      'Position 6: a number is missing after +'
    );
  });
});
