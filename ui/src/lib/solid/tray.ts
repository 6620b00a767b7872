import type { Line } from '$lib/api/client';
import { standing as ofItem, type Standing } from '$lib/package/standing';

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

/** How far a line of a tray is: inspected once somebody has said that it is right. */
export function standing(line: Line): Standing {
  const read = ofItem({ ...line, inspected: true });
  return read.word === 'inspected' && !line.lookedAt
    ? { mark: 'note', word: 'not inspected yet' }
    : read;
}
