// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen } from '@testing-library/svelte';
import { beforeEach, describe, expect, it, vi } from 'vitest';

const navigation = vi.hoisted(() => ({
  goto: vi.fn(),
  asked: vi.fn<(to: object) => void>()
}));
vi.mock('$app/navigation', () => ({
  goto: navigation.goto,
  beforeNavigate: (asked: (to: object) => void) => navigation.asked.mockImplementation(asked)
}));

import Leaving from './Leaving.svelte';

const at = (path: string) => ({ url: new URL(path, 'http://shop') });

describe('leaving a page', () => {
  const cancel = vi.fn();

  beforeEach(() => {
    cleanup();
    vi.clearAllMocks();
  });

  function leave(changed: boolean, type = 'link', to: object | null = at('/libraries/3')) {
    render(Leaving, { changed, what: 'EM-8' });
    navigation.asked({ cancel, type, from: at('/tools/7'), to });
  }

  it('is not asked about where nothing would be lost', () => {
    leave(false);
    expect(cancel).not.toHaveBeenCalled();
    cleanup();
    leave(true, 'goto', at('/tools/7?tab=notes'));
    expect(cancel).not.toHaveBeenCalled();
  });

  it('is asked about where something is not saved, and goes on once that is decided', async () => {
    leave(true);
    expect(cancel).toHaveBeenCalledOnce();
    expect(await screen.findByText(/EM-8 has changes that are not saved/)).toBeTruthy();
    await fireEvent.click(screen.getByRole('button', { name: 'Leave' }));
    expect(navigation.goto.mock.calls[0][0].pathname).toBe('/libraries/3');
    navigation.asked({ cancel, type: 'goto', from: at('/tools/7'), to: at('/libraries/3') });
    expect(cancel).toHaveBeenCalledOnce();
  });

  it('waits for what is being saved, and goes on where that is kept', async () => {
    let kept = () => {};
    const saving = new Promise<void>((done) => (kept = done));
    const { rerender } = render(Leaving, { changed: true, what: 'EM-8', saving });
    navigation.asked({ cancel, type: 'link', from: at('/tools/7'), to: at('/libraries/3') });
    await rerender({ changed: false });
    kept();
    await vi.waitFor(() => expect(navigation.goto).toHaveBeenCalledOnce());
    expect(screen.queryByText(/not saved/)).toBeNull();
  });

  it('stays where somebody thinks better of it', async () => {
    leave(true);
    await fireEvent.click(await screen.findByRole('button', { name: 'Stay here' }));
    expect(navigation.goto).not.toHaveBeenCalled();
    await vi.waitFor(() => expect(screen.queryByText(/not saved/)).toBeNull());
  });

  it('leaves it to the browser to ask where its window is closed', () => {
    leave(true, 'leave', null);
    expect(cancel).toHaveBeenCalledOnce();
    expect(screen.queryByRole('dialog')).toBeNull();
  });
});
