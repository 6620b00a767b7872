import { describe, expect, it } from 'vitest';
import { headed } from './paste';

describe('pasted rows', () => {
  it('are headed by a row of words above numbers', () => {
    expect(headed('Code\tD\nA\t8\n')).toBe(true);
  });

  it('have no head where the first row has numbers like the others', () => {
    expect(headed('A\t8\nB\t10\n')).toBe(false);
    expect(headed('Code\tD\n')).toBe(false);
  });
});
