import { sorts, type ListFilter } from './filter.svelte';

const OURS = ['q', 'class', 'dia.min', 'dia.max', 'section', 'sort', 'down'];

/** What a list is narrowed to and sorted by, as it stands in the address; others stay as they are. */
export function written(filter: ListFilter, others: string): string {
  const params = new URLSearchParams(others);
  OURS.forEach((name) => params.delete(name));
  const q = filter.text.trim();
  if (q) params.set('q', q);
  filter.classes.forEach((id) => params.append('class', id));
  if (filter.dia) {
    params.set('dia.min', String(filter.dia[0]));
    params.set('dia.max', String(filter.dia[1]));
  }
  if (filter.section !== null) params.set('section', String(filter.section));
  if (filter.sort !== 'code') params.set('sort', filter.sort);
  if (filter.down) params.set('down', 'true');
  return params.toString();
}

/** Narrows a list to what stands in an address; what makes no sense there is passed over. */
export function narrow(filter: ListFilter, params: URLSearchParams) {
  filter.text = params.get('q') ?? '';
  filter.classes = params.getAll('class');
  const from = size(params.get('dia.min'));
  const to = size(params.get('dia.max'));
  filter.dia = from !== null && to !== null && from <= to ? [from, to] : null;
  const section = params.get('section') ?? '';
  filter.section = /^\d{1,15}$/.test(section) ? Number(section) : null;
  filter.sort = sorts.find((sort) => sort === params.get('sort')) ?? 'code';
  filter.down = params.get('down') === 'true';
}

function size(text: string | null): number | null {
  return text !== null && /^\d{1,9}(\.\d{1,10})?$/.test(text) ? Number(text) : null;
}
