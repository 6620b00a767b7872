import { describe, expect, it } from 'vitest';
import { trustText } from './inLists';

describe('why a tool can be trusted, in a list', () => {
  const nothing = { later: 0, proven: 0, machines: '', open: 0 };

  it('begins with what speaks against it', () => {
    expect(
      trustText({
        by: 'anna',
        at: '2026-03-09T08:30:00Z',
        later: 2,
        proven: 3,
        machines: 'M1 Heron',
        open: 1
      })
    ).toBe('1 open finding, changed since, anna 2026-03-09, proven 3 times at M1 Heron');
  });

  it('is nothing where nothing is known', () => {
    expect(trustText(nothing)).toBe('');
    expect(trustText({ ...nothing, proven: 1 })).toBe('proven 1 time');
  });
});
