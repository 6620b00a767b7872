import { describe, expect, it } from 'vitest';
import type { ToolAnswer } from '$lib/api/client';
import { isHeld } from './held';

function answer(flat: boolean, values: object, sketch = false, implied = {}): ToolAnswer {
  return { outline: { parts: [{ flat }] }, values, implied, sketch } as unknown as ToolAnswer;
}

describe('what is put into a holder', () => {
  it('is round, or has a shank', () => {
    expect(isHeld(answer(false, {}))).toBe(true);
    expect(isHeld(answer(true, { H: { text: '20' } }))).toBe(true);
    expect(isHeld(answer(true, { DMM: { text: '20' } }))).toBe(true);
    const designated = { H: { value: { text: '25' }, origin: 'is read from SHANK' } };
    expect(isHeld(answer(true, {}, false, designated))).toBe(true);
  });

  it('is no insert, and nothing whose sizes are not given yet', () => {
    expect(isHeld(answer(true, { IC: { text: '12.7' } }))).toBe(false);
    expect(isHeld(answer(false, {}, true))).toBe(false);
    expect(isHeld(null)).toBe(false);
  });
});
