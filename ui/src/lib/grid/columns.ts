import { parts } from './decimals';

/** One column of a grid. */
export interface Column<Row> {
  id: string;
  title: string;
  /** Heads of the parts of a cell, on the same tracks as its parts. */
  heads?: { titles: string[]; tracks: string };
  /** In full, where the title is short. */
  name?: string;
  /** Its track: a width, or `minmax(120px, 1fr)`. */
  width: string;
  /** True where its numbers stand on their decimal points. */
  numeric?: boolean;
  /** By what the server can sort; without a server that sorts, every column can be sorted by. */
  sort?: string;
  /** What stands in it, for showing and for a spreadsheet. */
  text: (row: Row) => string;
  /** Where its text comes from that nobody wrote down; it is set apart and says so. */
  origin?: (row: Row) => string | undefined;
  /** Its head in a spreadsheet, where that is another. */
  copied?: string;
  /** False where it is shown only when somebody chooses it. */
  usual?: boolean;
  /** True where it always stays. */
  fixed?: boolean;
}

/** Columns that are shown together. */
export interface ColumnSet {
  name: string;
  columns: string[];
}

/** True where just these columns were chosen, in whatever order. */
export function isShown(set: ColumnSet, chosen: string[] | null): boolean {
  return (
    chosen !== null &&
    chosen.length === set.columns.length &&
    set.columns.every((id) => chosen.includes(id))
  );
}

/** Where a cell is; links of the row that has the cursor can be reached by Tab. */
export interface Where {
  index: number;
  current: boolean;
}

/** What a list is sorted by. */
export interface Sorting {
  by: string;
  down: boolean;
}

/** The columns to show: those that somebody chose, else the usual ones. */
export function shownColumns<Row>(columns: Column<Row>[], chosen: string[] | null): Column<Row>[] {
  return columns.filter((column) =>
    column.fixed || chosen === null
      ? column.fixed || column.usual !== false
      : chosen.includes(column.id)
  );
}

const GAP = 12;

/** How narrow the columns can be in px: their widths or least widths, and the gaps between them. */
export function leastWidth<Row>(columns: Column<Row>[]): number {
  const widths = columns.map((column) => Number(/\d+/.exec(column.width)?.[0] ?? 0));
  return widths.reduce((sum, width) => sum + width, 0) + GAP * Math.max(0, columns.length - 1);
}

/** Rows sorted here: numbers by size, the rest as text; equal ones stay in their order. */
export function sorted<Row>(rows: Row[], columns: Column<Row>[], sorting: Sorting | null): Row[] {
  const column = columns.find((candidate) => candidate.id === sorting?.by);
  if (!column || !sorting) return rows;
  const sign = sorting.down ? -1 : 1;
  return [...rows].sort((one, other) => sign * compared(column.text(one), column.text(other)));
}

function compared(one: string, other: string): number {
  const numbers = [one, other].map((text) => (isNumber(text) ? Number(text) : null));
  return numbers[0] !== null && numbers[1] !== null
    ? numbers[0] - numbers[1]
    : one.localeCompare(other, 'en', { numeric: true });
}

function isNumber(text: string): boolean {
  const { whole, fraction } = parts(text);
  return text !== '' && (fraction !== '' || /^[+-]?\d+$/.test(whole));
}

/** The sorting after somebody asked for a column: down where it was up already. */
export function turned(sorting: Sorting | null, by: string): Sorting {
  return { by, down: sorting?.by === by && !sorting.down };
}
