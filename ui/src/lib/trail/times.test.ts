import { describe, expect, it } from 'vitest';
import { since } from './times';

describe('how far back somebody looks', () => {
  const now = new Date(2026, 10, 28, 15, 30);

  it('begins with a day as it is here', () => {
    expect(new Date(since('today', now)!)).toEqual(new Date(2026, 10, 28));
    expect(new Date(since('week', now)!)).toEqual(new Date(2026, 10, 21));
    expect(new Date(since('month', now)!)).toEqual(new Date(2026, 9, 29));
  });

  it('goes back for ever', () => {
    expect(since('ever', now)).toBeUndefined();
  });
});
