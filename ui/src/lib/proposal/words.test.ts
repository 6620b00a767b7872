import { describe, expect, it } from 'vitest';
import type { ProposalHead } from '$lib/api/client';
import { became } from './words';

const open: ProposalHead = {
  id: 1,
  libraryId: 2,
  library: 'Marram milling',
  reason: 'wears less',
  state: 'OPEN',
  madeBy: 'anna',
  madeAt: '2026-11-29T10:00:00Z',
  words: '',
  changes: 3,
  taken: 0,
  mine: false,
  toMe: true,
  seen: false
};
const answered = {
  ...open,
  state: 'ANSWERED' as const,
  answeredBy: 'lead',
  answeredAt: '2026-11-29T12:00:00Z'
};

describe('what became of a proposal', () => {
  it('waits for whoever may answer', () => {
    expect(became(open)).toBe('waits for your answer');
    expect(became({ ...open, toMe: false })).toBe('not answered yet');
    expect(became({ ...open, state: 'WITHDRAWN' })).toBe('withdrawn');
  });

  it('is nothing yet while it is collected', () => {
    expect(became({ ...open, state: 'COLLECTED', mine: true })).toContain('not proposed yet');
  });

  it('is said with who answered', () => {
    expect(became(answered)).toContain('declined by lead');
    expect(became({ ...answered, taken: 3 })).toContain('taken by lead');
    expect(became({ ...answered, taken: 1 })).toContain('1 of 3 changes taken by lead');
  });
});
