import { expect, it } from 'vitest';
import type { Line } from '$lib/api/client';
import { nextOpen } from '$lib/package/inspection';
import { inspection } from './tray';

const line = (part: Partial<Line>) => ({ disposition: 'pass', lookedAt: false, ...part }) as Line;

it('each state of a line has its own mark and word', () => {
  expect(inspection(line({}))).toEqual({ mark: 'note', word: 'not inspected yet' });
  expect(inspection(line({ lookedAt: true }))).toEqual({ mark: 'pass', word: 'inspected' });
  expect(inspection(line({ disposition: 'query' }))).toEqual({
    mark: 'query',
    word: 'needs a look'
  });
  expect(inspection(line({ disposition: 'hold' }))).toEqual({ mark: 'hold', word: 'cannot enter' });
  expect(inspection(line({ takenToolId: 3 })).word).toBe('taken');
});

it('the next one that is open comes, from the end to the beginning again', () => {
  const lines = [line({}), line({ lookedAt: true }), line({ disposition: 'hold' })];
  expect(nextOpen(lines, 0, inspection)).toBe(2);
  expect(nextOpen(lines, 2, inspection)).toBe(0);
  expect(nextOpen([line({ lookedAt: true }), line({ lookedAt: true })], 0, inspection)).toBe(1);
});
