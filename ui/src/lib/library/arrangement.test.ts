import { describe, expect, it } from 'vitest';
import type { LibraryRow } from '$lib/api/client';
import { arranged, processWord } from './arrangement';

function row(name: string, processes: string[], labels: [string, string][]): LibraryRow {
  const settings = { processes, labels: labels.map(([kind, label]) => ({ kind, label })) };
  return { name, settings } as unknown as LibraryRow;
}

const rows = [
  row('Aluminium', ['milling'], [['MATERIAL', 'Aluminium']]),
  row(
    'Bars',
    ['turning', 'milling'],
    [
      ['MACHINE', 'Kittiwake'],
      ['MACHINE', 'Cormorant']
    ]
  ),
  row('Copies', [], [])
];
const under = (by: Parameters<typeof arranged>[1]) =>
  arranged(rows, by).map(({ head, rows: some }) => [head, ...some.map(({ name }) => name)]);

describe('libraries as they are arranged', () => {
  it('stand in one list by name', () => {
    expect(under('name')).toEqual([['', 'Aluminium', 'Bars', 'Copies']]);
  });

  it('stand under each machine that they are for, the others last', () => {
    expect(under('MACHINE')).toEqual([
      ['Cormorant', 'Bars'],
      ['Kittiwake', 'Bars'],
      ['', 'Aluminium', 'Copies']
    ]);
  });

  it('stand under the process that they are for', () => {
    expect(under('process')).toEqual([
      ['every process', 'Copies'],
      ['mill-turn', 'Bars'],
      ['milling', 'Aluminium']
    ]);
  });

  it('name milling and turning together mill-turn', () => {
    expect(processWord(['milling', 'turning', 'jet'])).toBe('mill-turn, jet');
    expect(processWord(['turning'])).toBe('turning');
  });
});
