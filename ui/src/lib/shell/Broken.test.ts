// @vitest-environment jsdom
import { render, screen } from '@testing-library/svelte';
import { describe, expect, it } from 'vitest';
import Broken from './Broken.svelte';

describe('a page that failed while it was shown', () => {
  it('says what failed and offers to load it again', () => {
    render(Broken, { error: new Error('each_key_duplicate\nhttps://svelte.dev/e/x') });
    expect(screen.getByRole('alert').textContent).toContain('each_key_duplicate');
    expect(screen.getByRole('alert').textContent).not.toContain('https');
    expect(screen.getByRole('button', { name: 'Load again' })).toBeTruthy();
    expect(screen.getByRole('link', { name: 'Go to Today' })).toBeTruthy();
  });
});
