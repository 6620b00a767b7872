import type { Line } from '$lib/api/client';

/** What a line of a tray may be, and the word for it. */
export const kinds = [
  { value: 'cutter', label: 'cutter' },
  { value: 'insert', label: 'insert' },
  { value: 'holder', label: 'holder' },
  { value: 'extension', label: 'extension' },
  { value: 'collet', label: 'collet' },
  { value: 'arbor', label: 'arbor' },
  { value: 'aggregate', label: 'aggregate' }
];

type Mark = 'hold' | 'query' | 'note' | 'pass';

/** How far a line of a tray is, with its mark. */
export function standing(line: Line): { mark: Mark; word: string } {
  if (line.takenToolId || line.takenPartId) return { mark: 'pass', word: 'taken' };
  if (line.disposition === 'hold') return { mark: 'hold', word: 'cannot enter' };
  if (line.disposition === 'query') return { mark: 'query', word: 'needs a look' };
  return line.lookedAt
    ? { mark: 'pass', word: 'inspected' }
    : { mark: 'note', word: 'not inspected yet' };
}

/** The next line that nobody has finished, from a place on and around; the next one where all are. */
export function nextOpen(lines: Line[], at: number): number {
  for (let step = 1; step < lines.length; step++) {
    const place = (at + step) % lines.length;
    const { word } = standing(lines[place]);
    if (word !== 'taken' && word !== 'inspected') return place;
  }
  return Math.min(at + 1, lines.length - 1);
}
