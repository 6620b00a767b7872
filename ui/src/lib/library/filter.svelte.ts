import { Debounced, PersistedState } from 'runed';
import type { ViewDefinition } from '$lib/api/client';
import { FIRST_MATERIAL } from '$lib/cutting/queries';
import { groupings, type Grouping } from './grouping';

/** By how much the board is enlarged. */
export const zooms = [1, 1.5, 2.5, 4];

export const sorts = [
  'code',
  'name',
  'number',
  'dc',
  'class',
  'section',
  'library',
  'holder',
  'material',
  'standing'
] as const;

export type Sort = (typeof sorts)[number];

/** What a list is narrowed to, as the server asks for it. */
export interface ListQuery {
  q?: string;
  class?: string[];
  'dia.min'?: number;
  'dia.max'?: number;
  section?: number;
}

/** Columns of speed and feed, for which a list needs a work material. */
const OF_CUTS = ['purpose', 'vc', 'feed', 'ap', 'ae', 'origin'];

/** Columns of what else belongs to tools; it is looked up where somebody shows them. */
const OF_USES = ['holder', 'materials', 'planned'];

/** What a list is narrowed to and sorted by. */
export class ListFilter {
  text = $state('');
  classes = $state<string[]>([]);
  dia = $state<[number, number] | null>(null);
  /** A section of the library; null for all of it. */
  section = $state<number | null>(null);
  sort = $state<Sort>('code');
  down = $state(false);
  /** The view that was chosen last; null for none. */
  view = $state<number | null>(null);
  /** How large tools hang on the board: a place among {@link zooms}. */
  zoom = $state(0);
  readonly #columns: PersistedState<string[] | null>;
  readonly #group = new PersistedState<Grouping>('tools grouped', '');
  readonly #board = new PersistedState('tools on the board', false);
  readonly #material = new PersistedState('cutting data of tools for', FIRST_MATERIAL);

  /** @param name under which the columns of such lists are kept */
  constructor(readonly name: string = 'tools') {
    this.#columns = new PersistedState<string[] | null>(`columns of ${name}`, null);
  }

  /** Ids of the columns that somebody chose; null for those that follow what is listed. */
  get columns(): string[] | null {
    return this.#columns.current;
  }

  set columns(next: string[] | null) {
    this.#columns.current = next;
  }

  get group(): Grouping {
    return this.#group.current;
  }

  set group(next: Grouping) {
    this.#group.current = next;
  }

  /** True for silhouettes in place of rows. */
  get board(): boolean {
    return this.#board.current;
  }

  set board(next: boolean) {
    this.#board.current = next;
  }

  /** The work material whose speeds and feeds stand in their columns. */
  get material(): string {
    return this.#material.current;
  }

  set material(next: string) {
    this.#material.current = next;
  }

  /** True where columns of speed and feed are shown. */
  get cutting(): boolean {
    return this.#shows(OF_CUTS);
  }

  /** What rows have to say of what belongs to their tools. */
  get belonging(): { uses: boolean; trust: boolean; material?: string } {
    return {
      uses: this.#shows(OF_USES),
      trust: this.#shows(['trust']),
      material: this.cutting ? this.material : undefined
    };
  }

  #shows(columns: string[]): boolean {
    return !this.board && (this.columns?.some((id) => columns.includes(id)) ?? false);
  }

  get smaller(): boolean {
    return this.zoom > 0;
  }

  get larger(): boolean {
    return this.zoom < zooms.length - 1;
  }

  /** All of it, to be kept as a view; the section belongs to one library and stays out. */
  definition(): ViewDefinition {
    return {
      columns: this.columns ?? undefined,
      group: this.group,
      sort: this.sort,
      down: this.down,
      board: this.board,
      q: this.text.trim(),
      classes: this.classes,
      diaMin: this.dia?.[0],
      diaMax: this.dia?.[1],
      material: this.cutting ? this.material : undefined
    };
  }

  /** Shows the list as a view has it; what this list does not know is left as it is. */
  apply(view: ViewDefinition) {
    this.columns = view.columns ? view.columns.filter((id) => id !== null) : null;
    this.group = groupings.find(({ value }) => value === view.group)?.value ?? '';
    this.sort = sorts.find((sort) => sort === view.sort) ?? 'code';
    this.down = view.down ?? false;
    this.board = view.board ?? false;
    this.text = view.q ?? '';
    this.material = view.material ?? this.material;
    this.classes = (view.classes ?? []).filter((id) => id !== null);
    const { diaMin, diaMax } = view;
    this.dia = diaMin != null && diaMax != null ? [diaMin, diaMax] : null;
  }

  /** Rows follow what is typed at once; what is counted of them follows when somebody pauses. */
  readonly #typed = new Debounced(() => this.text.trim(), 25);
  readonly #paused = new Debounced(() => this.text.trim(), 250);

  /** For the rows. */
  readonly query: ListQuery = $derived(this.#narrowedTo(this.#typed.current));
  /** For what is counted. */
  readonly counted: ListQuery = $derived(
    this.#narrowedTo(this.text.trim() && this.#paused.current)
  );

  #narrowedTo(q: string): ListQuery {
    return {
      q: q || undefined,
      class: this.classes.length > 0 ? this.classes : undefined,
      'dia.min': this.dia?.[0],
      'dia.max': this.dia?.[1],
      section: this.section ?? undefined
    };
  }

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
    return Boolean(this.query.q || this.classes.length > 0 || this.dia || this.section);
  }

  clear() {
    this.text = '';
    this.classes = [];
    this.dia = null;
    this.section = null;
  }
}
