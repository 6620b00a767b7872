import { expect, it } from 'vitest';
import { freshName } from './freshName';

it('names work in letters and digits, never twice alike', () => {
  const names = Array.from({ length: 200 }, freshName);
  expect(names.every((name) => /^[0-9a-f]{32}$/.test(name))).toBe(true);
  expect(new Set(names).size).toBe(200);
});
