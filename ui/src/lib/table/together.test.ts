import { expect, test } from 'vitest';
import type { ReportRow } from '$lib/api/client';
import { alike } from './together';

const row = (place: string, why: string, more: Partial<ReportRow> = {}): ReportRow =>
  ({
    place,
    why,
    whyWords: why.replaceAll('-', ' '),
    state: 'differs',
    suggested: 'ask',
    together: ['send', 'take', 'leave'],
    ...more
  }) as ReportRow;

const suggested = ({ suggested }: ReportRow) => suggested;

test('places of which the same is said can be decided together', () => {
  const groups = alike(
    [row('1', 'not-set'), row('2', 'measured', { suggested: 'send' }), row('3', 'not-set')],
    suggested
  );
  expect(groups).toEqual([
    {
      why: 'not-set',
      words: 'not set',
      places: ['1', '3'],
      possible: ['send', 'take', 'leave'],
      decision: 'ask',
      asked: true
    }
  ]);
});

test('only what is possible of all of them is offered', () => {
  const [group] = alike(
    [row('1', 'never-agreed'), row('2', 'never-agreed', { together: ['take', 'leave'] })],
    suggested
  );
  expect(group.possible).toEqual(['take', 'leave']);
});

test('a place that has to be looked at alone, or is in step, is in no group', () => {
  expect(
    alike(
      [
        row('1', 'zero', { together: [] }),
        row('2', 'zero', { together: [] }),
        row('3', 'equal', { state: 'in step' }),
        row('4', 'equal', { state: 'in step' })
      ],
      suggested
    )
  ).toEqual([]);
});

test('where the places are decided differently, none is shown as that of all', () => {
  const [group] = alike([row('1', 'not-set'), row('2', 'not-set')], ({ place }) =>
    place === '1' ? 'send' : 'ask'
  );
  expect(group.decision).toBe('');
});

test('the largest group comes first', () => {
  const groups = alike(
    ['a', 'a', 'b', 'b', 'b'].map((why, index) => row(String(index), why)),
    suggested
  );
  expect(groups.map(({ why }) => why)).toEqual(['b', 'a']);
});
