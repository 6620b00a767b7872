import { describe, expect, it } from 'vitest';
import { counted, takenSoFar } from './live.svelte';

describe('running work', () => {
  it('counts the tools taken so far and forgets them at the end', () => {
    expect(counted({ topic: 'delivery', subject: '7', detail: 'taking 3000' })).toBe(true);
    expect(takenSoFar(7)).toBe(3000);
    expect(takenSoFar(8)).toBeUndefined();
    expect(counted({ topic: 'delivery', subject: '7', detail: 'taken' })).toBe(false);
    expect(takenSoFar(7)).toBeUndefined();
  });

  it('leaves other news to the pages', () => {
    expect(counted({ topic: 'library', subject: '7', detail: 'taking 1' })).toBe(false);
    expect(takenSoFar(7)).toBeUndefined();
  });
});
