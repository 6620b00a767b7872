// @vitest-environment jsdom
import { cleanup, render, screen } from '@testing-library/svelte';
import { beforeEach, describe, expect, it, vi } from 'vitest';

vi.mock('./actions', () => ({ moveTools: vi.fn() }));

import ToolStanding from './ToolStanding.svelte';

describe('how far a tool is trusted, on its sheet', () => {
  beforeEach(cleanup);

  it('is read by those who may not change it, with since when and by whom', () => {
    const trusted = { standing: 'RELEASED', by: 'lead', at: '2026-03-09T08:30:00Z' } as const;
    render(ToolStanding, { id: 1, trusted, readonly: true });
    expect(screen.getByText('Released')).toBeTruthy();
    expect(screen.getByTitle(/since 09 Mar.*by lead/)).toBeTruthy();
    expect(screen.queryByRole('button')).toBeNull();
  });

  it('is a button for those who may', () => {
    render(ToolStanding, { id: 1, trusted: { standing: 'DRAFT' }, readonly: false });
    const button = screen.getByRole('button', { name: 'How far it is trusted' });
    expect(button.textContent).toContain('Draft');
  });
});
