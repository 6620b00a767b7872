import { expect, test } from 'vitest';
import type { Finding, Line } from '$lib/api/client';
import { firstShown, nextOpen, reason, inspection } from './inspection';

const line = (disposition: string, more: Partial<Line> = {}) =>
  ({ disposition, inspected: true, findings: [], ...more }) as unknown as Line;

const said = (severity: string, message: string) => ({ severity, message }) as Finding;

test('each has its own mark and word', () => {
  expect(inspection(line('pass'))).toEqual({ mark: 'pass', word: 'inspected' });
  expect(inspection(line('query')).word).toBe('needs a look');
  expect(inspection(line('hold')).word).toBe('cannot enter');
  expect(inspection(line('skipped')).word).toBe('nothing to take');
  expect(inspection(line('pass', { takenToolId: 4 })).word).toBe('taken');
});

test('what was not inspected is that, whatever else is said', () => {
  expect(inspection(line('hold', { inspected: false })).word).toBe('not inspected yet');
});

test('the reason is what keeps it', () => {
  const findings = [said('NOTE', 'a'), said('HOLD', 'b'), said('HOLD', 'c')];
  expect(reason(line('hold', { findings }))).toBe('b; c');
  expect(reason(line('skipped', { findings }))).toBe('a');
  expect(reason(line('pass', { findings }))).toBe('');
});

test('the next one that is not finished comes next, from the end around', () => {
  const lines = [line('query'), line('pass'), line('hold'), line('pass')];
  expect(nextOpen(lines, 0)).toBe(2);
  expect(nextOpen(lines, 2)).toBe(0);
  expect(nextOpen([line('pass'), line('pass')], 0)).toBe(1);
});

test('what somebody follows is shown first, else what is to do', () => {
  const asked = { code: 'vendor-conflict', severity: 'QUERY' } as Finding;
  const lines = [
    line('pass', { id: 1 }),
    line('hold', { id: 2 }),
    line('query', { id: 3, findings: [asked] })
  ];
  expect(firstShown(lines, 'vendor-conflict')).toBe(3);
  expect(firstShown(lines, null)).toBe(2);
  expect(firstShown(lines.slice(0, 1), 'vendor-conflict')).toBe(1);
  expect(firstShown([], null)).toBeUndefined();
});
