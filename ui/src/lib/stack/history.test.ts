import { expect, test } from 'vitest';
import { differences } from './history';

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
