import { describe, expect, it } from 'vitest';
import { standingLabel, standings } from './standing';

describe('how far a tool is trusted', () => {
  it('goes from a draft to retired', () => {
    expect(standings.map(({ label }) => label)).toEqual([
      'Draft',
      'Checked',
      'Released',
      'Retired'
    ]);
  });

  it('is called by its label, and what is not known by itself', () => {
    expect(standingLabel('RELEASED')).toBe('Released');
    expect(standingLabel('LENT')).toBe('LENT');
  });
});
