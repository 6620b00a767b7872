import { expect, test } from 'vitest';
import { clockWords, decisionWords } from './words';

test('a clock that goes wrong is told, a little is not', () => {
  expect(clockWords(undefined)).toBe('');
  expect(clockWords(90)).toBe('');
  expect(clockWords(3 * 3600)).toBe('its clock is 3 h fast; times here are ours');
  expect(clockWords(-3725)).toBe('its clock is 1 h 2 min slow; times here are ours');
});

test('a decision says what it does where one side has nothing', () => {
  expect(decisionWords('gone-from-control', 'take')).toBe('take it out of the plan');
  expect(decisionWords('changed-at-control', 'take')).toBe("take the control's");
});
