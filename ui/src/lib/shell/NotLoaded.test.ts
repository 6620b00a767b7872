// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen } from '@testing-library/svelte';
import { afterEach, describe, expect, it, vi } from 'vitest';
import NotLoaded from './NotLoaded.svelte';

describe('a part of a page that could not be loaded', () => {
  afterEach(cleanup);

  it('says why and loads again', async () => {
    const refetch = vi.fn();
    render(NotLoaded, { query: { error: new Error('no answer'), data: undefined, refetch } });
    expect(screen.getByRole('alert').textContent).toContain('No answer');
    await fireEvent.click(screen.getByRole('button', { name: 'Try again' }));
    expect(refetch).toHaveBeenCalledOnce();
  });

  it('keeps showing what it had before', () => {
    render(NotLoaded, { query: { error: new Error('no answer'), data: [], refetch: vi.fn() } });
    expect(screen.queryByRole('alert')).toBeNull();
  });
});
