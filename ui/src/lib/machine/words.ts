import type { LoadSort, Machine } from '$lib/api/client';

type Scheme = Machine['numbering']['scheme'];

/** How number, place and offset go together, in words. */
export const numberingWords: Record<Scheme, string> = {
  NUMBER_IS_PLACE: 'number is place',
  NUMBER_APART: 'number apart from place',
  SISTER_GROUPS: 'sister tools under one number',
  PROGRAM_NUMBERS: 'program numbers of its own'
};

/** Orders in which the tools of a storage can stand. */
export const sorts: { by: LoadSort; label: string }[] = [
  { by: 'NUMBER', label: 'by number' },
  { by: 'CODE', label: 'by code' },
  { by: 'CLASS', label: 'by class and diameter' },
  { by: 'DIAMETER', label: 'by diameter' }
];
