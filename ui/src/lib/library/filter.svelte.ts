import { Debounced } from 'runed';

export type Sort = 'code' | 'name' | 'number' | 'dc' | 'class' | 'section';

/** What a list is narrowed to, as the server asks for it. */
export interface ListQuery {
  q?: string;
  class?: string[];
  'dia.min'?: number;
  'dia.max'?: number;
  section?: number;
}

/** What a list is narrowed to and sorted by. */
export class ListFilter {
  text = $state('');
  classes = $state<string[]>([]);
  dia = $state<[number, number] | null>(null);
  /** A section of the library; null for all of it. */
  section = $state<number | null>(null);
  sort = $state<Sort>('code');
  down = $state(false);
  readonly q = new Debounced(() => this.text.trim(), 150);

  readonly query: ListQuery = $derived({
    q: this.q.current || undefined,
    class: this.classes.length > 0 ? this.classes : undefined,
    'dia.min': this.dia?.[0],
    'dia.max': this.dia?.[1],
    section: this.section ?? undefined
  });

  toggleClass(id: string) {
    this.classes = this.classes.includes(id)
      ? this.classes.filter((other) => other !== id)
      : [...this.classes, id];
  }

  sortBy(sort: Sort) {
    this.down = this.sort === sort ? !this.down : false;
    this.sort = sort;
  }

  get narrowed(): boolean {
    return Boolean(this.q.current || this.classes.length > 0 || this.dia || this.section);
  }

  clear() {
    this.text = '';
    this.classes = [];
    this.dia = null;
    this.section = null;
  }
}
