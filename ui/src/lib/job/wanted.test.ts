import { describe, expect, it } from 'vitest';
import type { JobView } from '$lib/api/client';
import { wantedOf } from './wanted';

describe('tools of a job that have to be in', () => {
  it('are wanted once, however many numbers call them, and one of each', () => {
    const tools = [
      { number: 12, toolId: 7, libraryId: 3, code: 'TH-0815', name: 'Mill' },
      { number: 13, toolId: 7, libraryId: 3, code: 'TH-0815', name: 'Mill' },
      { number: 14, toolId: 8, code: 'DR-0085', name: 'Drill' }
    ] as JobView['tools'];
    const wanted = wantedOf({ tools });
    expect(wanted.map(({ toolId, libraryId }) => [toolId, libraryId])).toEqual([
      [7, 3],
      [8, 0]
    ]);
    expect(wanted.every(({ number }) => number === undefined)).toBe(true);
  });
});
