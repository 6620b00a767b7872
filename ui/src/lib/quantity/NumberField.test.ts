// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen } from '@testing-library/svelte';
import { beforeEach, describe, expect, it, vi } from 'vitest';

vi.mock('$lib/api/client', () => import('$lib/testing/server'));

import { settings } from '$lib/shell/settings.svelte';
import { get } from '$lib/testing/server';
import NumberField from './NumberField.svelte';
import { entries } from './entries';
import { units } from './units.svelte';

describe('a field for numbers', () => {
  const onvalue = vi.fn();

  beforeEach(async () => {
    cleanup();
    get.mockReset();
    onvalue.mockReset();
    settings.unit = 'mm';
    get.mockResolvedValueOnce({
      items: [{ metric: 'mm', inch: 'in', factor: 25.4, decimals: 2 }]
    });
    await units.load();
    get.mockReset();
  });

  function field(more: object = {}) {
    render(NumberField, { label: 'Length', value: 50.8, unit: 'mm', onvalue, ...more });
    return screen.getByLabelText<HTMLInputElement>('Length');
  }

  it('gives what the server understood', async () => {
    get.mockResolvedValue({ valid: true, exact: '12.7' });
    const input = field();
    await fireEvent.input(input, { target: { value: '1/2"' } });
    await entries.sound();
    expect(get).toHaveBeenCalledWith('/api/v1/explain/quantity', {
      params: { query: { text: '1/2"', from: 'mm', to: 'mm' } }
    });
    expect(onvalue).toHaveBeenLastCalledWith(12.7, '12.7');
  });

  it('says what is no number and keeps the value', async () => {
    get.mockResolvedValue({ valid: false, why: 'not a number; type a number such as 12.7' });
    const input = field();
    await fireEvent.input(input, { target: { value: 'long' } });
    expect(await entries.sound()).toBe(false);
    expect(screen.getByRole('alert').textContent).toContain("'long': not a number");
    expect(input.getAttribute('aria-invalid')).toBe('true');
    expect(onvalue).not.toHaveBeenCalled();
    await fireEvent.keyDown(input, { key: 'Escape' });
    expect(input.value).toBe('50.8');
    expect(await entries.sound()).toBe(true);
  });

  it('holds what is saved back where the server could not read what was typed', async () => {
    get.mockRejectedValue(new Error('the server does not answer; try again'));
    const input = field();
    await fireEvent.input(input, { target: { value: '12.7' } });
    expect(await entries.sound()).toBe(false);
    expect(screen.getByRole('alert').textContent).toContain(
      "'12.7': the server does not answer; try again"
    );
    expect(onvalue).not.toHaveBeenCalled();
    get.mockResolvedValue({ valid: true, exact: '12.7' });
    await fireEvent.input(input, { target: { value: '12.7' } });
    expect(await entries.sound()).toBe(true);
    expect(onvalue).toHaveBeenLastCalledWith(12.7, '12.7');
  });

  it('refuses what is not above zero where that cannot be', async () => {
    const input = field({ positive: true });
    for (const text of ['-5', '0']) {
      get.mockResolvedValue({ valid: true, exact: text });
      await fireEvent.input(input, { target: { value: text } });
      expect(await entries.sound()).toBe(false);
      expect(screen.getByRole('alert').textContent).toContain(`'${text}' is not above 0`);
    }
    get.mockResolvedValue({ valid: true, exact: '5' });
    await fireEvent.input(input, { target: { value: '5' } });
    expect(await entries.sound()).toBe(true);
    expect(onvalue.mock.calls).toEqual([[5, '5']]);
  });

  it('keeps what is wrong to be seen when somebody left before it was read', async () => {
    get.mockResolvedValue({ valid: false, why: 'not a number' });
    const input = field();
    await fireEvent.focus(input);
    await fireEvent.input(input, { target: { value: 'long' } });
    await fireEvent.blur(input);
    expect(await entries.sound()).toBe(false);
    expect(input.value).toBe('long');
  });

  it('gives nothing only where it may be empty', async () => {
    const input = field({ optional: true });
    await fireEvent.input(input, { target: { value: ' ' } });
    await entries.sound();
    expect(onvalue).toHaveBeenLastCalledWith(null, '');
    expect(get).not.toHaveBeenCalled();
  });

  it('asks only for the last of what is typed quickly', async () => {
    get.mockResolvedValue({ valid: true, exact: '12' });
    const input = field();
    await fireEvent.input(input, { target: { value: '1' } });
    await fireEvent.input(input, { target: { value: '12' } });
    await entries.sound();
    expect(get).toHaveBeenCalledTimes(1);
  });

  it('shows inches where somebody looks in inches, and reads them', async () => {
    settings.unit = 'in';
    get.mockResolvedValue({ valid: true, exact: '25.4' });
    const input = field();
    expect(input.value).toBe('2');
    await fireEvent.input(input, { target: { value: '1' } });
    await entries.sound();
    expect(get.mock.calls[0][1]).toEqual({
      params: { query: { text: '1', from: 'in', to: 'mm' } }
    });
  });

  it('keeps the unit in which it was typed when the view is switched at once', async () => {
    get.mockResolvedValue({ valid: true, exact: '25.4' });
    const input = field();
    await fireEvent.focus(input);
    await fireEvent.input(input, { target: { value: '25.4' } });
    settings.unit = 'in';
    await entries.sound();
    expect(get.mock.calls[0][1]).toEqual({
      params: { query: { text: '25.4', from: 'mm', to: 'mm' } }
    });
    expect(onvalue).toHaveBeenLastCalledWith(25.4, '25.4');
    await vi.waitFor(() => expect(input.value).toBe('1'));
  });

  it('says the unit of what is no number yet once another is looked at', async () => {
    get.mockResolvedValue({ valid: false, why: 'not a number' });
    const input = field();
    await fireEvent.input(input, { target: { value: '25.4.' } });
    await entries.sound();
    settings.unit = 'in';
    expect((await screen.findByText('mm')).textContent).toContain('mm');
    get.mockResolvedValue({ valid: true, exact: '25.4' });
    await fireEvent.input(input, { target: { value: '25.4' } });
    await entries.sound();
    expect(get.mock.lastCall![1]).toEqual({
      params: { query: { text: '25.4', from: 'mm', to: 'mm' } }
    });
  });

  it('shows the other unit while somebody stands in it and has typed nothing', async () => {
    const input = field();
    await fireEvent.focus(input);
    settings.unit = 'in';
    await vi.waitFor(() => expect(input.value).toBe('2'));
  });
});
