import { expect, test } from 'vitest';
import { differences, fieldTitle } from './history';

test('what both say alike is left out, what only one says stays', () => {
  expect(
    differences(
      { NAME: 'Slim', SEAT: 'HSK-A63:f', NOTES: 'x' },
      { NAME: 'Slim', SEAT: '', WT: '1 kg' }
    )
  ).toEqual([
    { field: 'NOTES', here: 'x', there: '' },
    { field: 'SEAT', here: 'HSK-A63:f', there: '' },
    { field: 'WT', here: '', there: '1 kg' }
  ]);
});

test('fields are called as on their pages, others by their symbol', () => {
  expect(fieldTitle('LSC')).toBe('Least clamping');
  expect(fieldTitle('WT')).toBe('WT');
});
