import type { Machine } from '$lib/api/client';

type Storage = Machine['storages'][number];
type Scheme = Machine['numbering']['scheme'];

export const forms: { value: Storage['form']; label: string }[] = [
  { value: 'CHAIN', label: 'chain' },
  { value: 'CAROUSEL', label: 'carousel' },
  { value: 'RACK', label: 'rack' },
  { value: 'TURRET', label: 'turret' },
  { value: 'SPINDLE', label: 'tool spindle' },
  { value: 'AGGREGATES', label: 'fixed aggregates' },
  { value: 'CART', label: 'cart' }
];

export const schemes: { value: Scheme; label: string }[] = [
  { value: 'NUMBER_IS_PLACE', label: 'number, place and offset are one' },
  { value: 'NUMBER_APART', label: 'a tool keeps its number in any place' },
  { value: 'SISTER_GROUPS', label: 'sister tools take turns under one number' },
  { value: 'PROGRAM_NUMBERS', label: 'programs have numbers of their own' }
];

/** Connections that seats of machines usually have. */
export const seats = [
  'ST-AD-40:f',
  'ST-JD-40:f',
  'ST-UD-40:f',
  'ST-AD-50:f',
  'ST-JD-50:f',
  'HT-A-63:f',
  'HT-A-100:f',
  'HT-F-63:f',
  'PT-C-50:f',
  'PT-C-63:f',
  'VD-A-30:f',
  'VD-A-40:f'
];

/** Numbers such as `2, 4, 6` or `1-8` as somebody writes them; nothing where it is no list. */
export function numbers(text: string): number[] | undefined {
  const found = new Set<number>();
  for (const part of text.split(/[\s,;]+/).filter(Boolean)) {
    const range = /^(\d{1,4})(?:-(\d{1,4}))?$/.exec(part);
    if (!range) return undefined;
    const from = Number(range[1]);
    const to = Number(range[2] ?? range[1]);
    if (to < from || to - from > 400) return undefined;
    for (let number = from; number <= to; number++) found.add(number);
  }
  return [...found].sort((one, other) => one - other);
}
