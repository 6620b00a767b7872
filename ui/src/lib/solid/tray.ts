import type { Line } from '$lib/api/client';
import { inspection as ofItem, type Inspection } from '$lib/package/inspection';

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
export function inspection(line: Line): Inspection {
  const read = ofItem({ ...line, inspected: true });
  return read.word === 'inspected' && !line.lookedAt
    ? { mark: 'note', word: 'not inspected yet' }
    : read;
}
