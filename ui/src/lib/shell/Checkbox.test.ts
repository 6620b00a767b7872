// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen } from '@testing-library/svelte';
import { beforeEach, describe, expect, it } from 'vitest';
import Checkbox from './Checkbox.svelte';

describe('a tick', () => {
  beforeEach(cleanup);

  it('is called by its words and turns over when they are clicked', async () => {
    render(Checkbox, { label: 'all pockets', checked: false });
    const tick = screen.getByRole('checkbox', { name: 'all pockets' });
    expect(tick.getAttribute('aria-checked')).toBe('false');
    await fireEvent.click(tick);
    expect(tick.getAttribute('aria-checked')).toBe('true');
  });

  it('keeps its name where the words are hidden', () => {
    render(Checkbox, { label: 'Rename A-1', checked: true, hidden: true });
    expect(screen.getByRole('checkbox', { name: 'Rename A-1' })).toBeTruthy();
    expect(screen.queryByText('Rename A-1')).toBeNull();
  });
});
