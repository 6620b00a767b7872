import { expect, it } from 'vitest';
import type { Line } from '$lib/api/client';
import { nextOpen } from '$lib/package/standing';
import { standing } from './tray';

const line = (part: Partial<Line>) => ({ disposition: 'pass', lookedAt: false, ...part }) as Line;

it('each state of a line has its own mark and word', () => {
  expect(standing(line({}))).toEqual({ mark: 'note', word: 'not inspected yet' });
  expect(standing(line({ lookedAt: true }))).toEqual({ mark: 'pass', word: 'inspected' });
  expect(standing(line({ disposition: 'query' }))).toEqual({ mark: 'query', word: 'needs a look' });
  expect(standing(line({ disposition: 'hold' }))).toEqual({ mark: 'hold', word: 'cannot enter' });
  expect(standing(line({ takenToolId: 3 })).word).toBe('taken');
});

it('the next one that is open comes, from the end to the beginning again', () => {
  const lines = [line({}), line({ lookedAt: true }), line({ disposition: 'hold' })];
  expect(nextOpen(lines, 0, standing)).toBe(2);
  expect(nextOpen(lines, 2, standing)).toBe(0);
  expect(nextOpen([line({ lookedAt: true }), line({ lookedAt: true })], 0, standing)).toBe(1);
});
