/** Columns that rows without a head are taken to have, in the order of a library's list. */
export const HEADS = [
  'CODE',
  'NAME',
  'CLASS',
  'NUMBER',
  'DC [mm]',
  'LU [mm]',
  'OAL [mm]',
  'DMM [mm]',
  'NOF'
];

/** True where the first of some rows seems to head them: it has words where others have numbers. */
export function headed(text: string): boolean {
  const rows = text
    .trimEnd()
    .split('\n')
    .map((row) => row.split('\t'));
  const numbers = (row: string[]) =>
    row.filter((cell) => /^\s*[-+]?[\d.,/]*\d[\d.,/]*\s*$/.test(cell)).length;
  return rows.length > 1 && numbers(rows[0]) === 0 && rows.slice(1).some((row) => numbers(row) > 0);
}
