import { Problem } from '$lib/api/client';

const LISTS: Record<string, string> = {
  storages: 'storage',
  spindles: 'spindle',
  axes: 'axis',
  stations: 'station'
};

/** Fields that people see under another name; others are called as they are. */
const FIELDS: Record<string, string> = {
  rpm: 'speed',
  first: 'first number',
  prefix: 'letters before it',
  form: 'kind',
  radius: 'radius to the seats',
  diameterFull: 'Ø beside taken',
  diameterEmpty: 'Ø beside empty',
  massSum: 'all together',
  balance: 'halves differ',
  angleStep: 'steps of its angle',
  limits: '',
  number: ''
};

/** One of several: {@code spindles[1]} is spindle 2; undefined for anything else. */
function listed(part: string): string | undefined {
  const found = /^(\w+)\[(\d+)]$/.exec(part);
  return found ? `${LISTS[found[1]] ?? found[1]} ${Number(found[2]) + 1}` : undefined;
}

/** Where something is wrong, as the form calls it: {@code storages[0].places} is storage 1, places. */
function placeInWords(path: string): string {
  return path
    .split('.')
    .map((part) => listed(part) ?? FIELDS[part] ?? part)
    .filter((word) => word !== '' && !word.startsWith('station '))
    .join(', ');
}

/** What is wrong with a definition, one by one; the refusal itself where it names no more. */
export function faultsOf(error: Error): string[] {
  const details = error instanceof Problem ? (error.details as { faults?: string[] } | null) : null;
  return (details?.faults ?? [error.message]).map((fault) =>
    fault
      .replace(/^([a-zA-Z]+(?:[.[][\w.[\]]*)?): /, (_, path: string) => `${placeInWords(path)}: `)
      .replace(/\b(storages|spindles|axes)\[\d+]/g, (part) => listed(part) ?? part)
  );
}
