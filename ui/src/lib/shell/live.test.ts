import { describe, expect, it } from 'vitest';
import { counted, soFar } from './live.svelte';

describe('running work', () => {
  it('counts what is taken or put right so far and forgets it at the end', () => {
    expect(counted({ topic: 'delivery', subject: '7', detail: 'taking 3000' })).toBe(true);
    expect(soFar(7)).toEqual({ deed: 'taking', count: 3000 });
    expect(soFar(8)).toBeUndefined();
    expect(counted({ topic: 'delivery', subject: '8', detail: 'correcting 1000' })).toBe(true);
    expect(soFar(8)).toEqual({ deed: 'correcting', count: 1000 });
    expect(counted({ topic: 'delivery', subject: '8', detail: 'not done' })).toBe(false);
    expect(soFar(8)).toBeUndefined();
    expect(counted({ topic: 'delivery', subject: '7', detail: 'taken' })).toBe(false);
    expect(soFar(7)).toBeUndefined();
  });

  it('leaves other news to the pages', () => {
    expect(counted({ topic: 'library', subject: '7', detail: 'taking 1' })).toBe(false);
    expect(soFar(7)).toBeUndefined();
  });
});
