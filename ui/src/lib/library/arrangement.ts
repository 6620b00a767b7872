import type { LibraryRow } from '$lib/api/client';

/** By what the libraries of the shop can be arranged. */
export type Arrangement = 'name' | 'MACHINE' | 'JOB' | 'MATERIAL' | 'process';

export const arrangements: { value: Arrangement; label: string }[] = [
  { value: 'name', label: 'by name' },
  { value: 'MACHINE', label: 'by machine' },
  { value: 'JOB', label: 'by job' },
  { value: 'MATERIAL', label: 'by work material' },
  { value: 'process', label: 'by process' }
];

/** Processes a library can be for, as the server calls them. */
export const processes = ['milling', 'turning', 'routing', 'jet'];

/** What a library is for: milling and turning together are mill-turn. */
export function processWord(stated: string[]): string {
  if (stated.length === 0) return 'every process';
  const rest = stated.filter((process) => process !== 'milling' && process !== 'turning');
  const both = stated.includes('milling') && stated.includes('turning');
  return (both ? ['mill-turn', ...rest] : stated).join(', ');
}

/**
 * Libraries under the heads of an arrangement, in their order; one stands under each label that it
 * has, and what has none stands last under a head without words.
 */
export function arranged(
  rows: LibraryRow[],
  by: Arrangement
): { head: string; rows: LibraryRow[] }[] {
  if (by === 'name') return [{ head: '', rows }];
  const groups: Record<string, LibraryRow[]> = {};
  for (const row of rows) {
    for (const head of heads(row, by)) (groups[head] ??= []).push(row);
  }
  return Object.entries(groups)
    .map(([head, some]) => ({ head, rows: some }))
    .sort((one, other) =>
      one.head === '' || other.head === ''
        ? Number(one.head === '') - Number(other.head === '')
        : one.head.localeCompare(other.head, 'en', { numeric: true })
    );
}

function heads(row: LibraryRow, by: Exclude<Arrangement, 'name'>): string[] {
  if (by === 'process') return [processWord(row.settings.processes)];
  const labels = row.settings.labels.filter(({ kind }) => kind === by).map(({ label }) => label);
  return labels.length > 0 ? labels : [''];
}
