import type { Line } from '$lib/api/client';

export type Mark = 'hold' | 'query' | 'note' | 'pass' | 'skipped';

/** How far an item is: its mark and the word for it. */
export interface Inspection {
  mark: Mark;
  word: string;
}

/** How far an item of a package is. */
export function inspection(line: Line): Inspection {
  if (line.takenToolId || line.takenPartId) return { mark: 'pass', word: 'taken' };
  if (!line.inspected) return { mark: 'note', word: 'not inspected yet' };
  if (line.disposition === 'hold') return { mark: 'hold', word: 'cannot enter' };
  if (line.disposition === 'query') return { mark: 'query', word: 'needs a look' };
  if (line.disposition === 'skipped') return { mark: 'skipped', word: 'nothing to take' };
  return { mark: 'pass', word: 'inspected' };
}

/** Why an item stands so: what keeps it, else what is said first. */
export function reason(line: Line): string {
  const { mark } = inspection(line);
  const severity = mark === 'hold' ? 'HOLD' : mark === 'query' ? 'QUERY' : undefined;
  const found = severity
    ? line.findings.filter((finding) => finding.severity === severity)
    : mark === 'skipped'
      ? line.findings.slice(0, 1)
      : [];
  return found.map(({ message }) => message).join('; ');
}

/** What a list of items is narrowed to, and the word for it. */
export const shares = [
  { value: '', label: 'all items' },
  { value: 'not inspected yet', label: 'not inspected yet' },
  { value: 'inspected', label: 'inspected' },
  { value: 'needs a look', label: 'needs a look' },
  { value: 'cannot enter', label: 'cannot enter' },
  { value: 'nothing to take', label: 'nothing to take' },
  { value: 'taken', label: 'taken' }
];

/** True where something is to do for an item. */
export function open({ word }: Inspection): boolean {
  return ['cannot enter', 'needs a look', 'not inspected yet'].includes(word);
}

/** The item that is shown first: one of which is said what somebody follows, else one to do. */
export function firstShown(lines: Line[], finding: string | null): number | undefined {
  const said = lines.find((one) => one.findings.some(({ code }) => code === finding));
  return (said ?? lines.find((one) => open(inspection(one))) ?? lines[0])?.id;
}

/** The next item that is not finished, from a place on and around; the next one where all are. */
export function nextOpen(lines: Line[], at: number, far = inspection): number {
  for (let step = 1; step < lines.length; step++) {
    const place = (at + step) % lines.length;
    if (open(far(lines[place]))) return place;
  }
  return Math.min(at + 1, Math.max(lines.length - 1, 0));
}
