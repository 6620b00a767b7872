import type { ColumnDecision, Reading, ReadingChoice } from '$lib/api/client';

/** True for evidence of what somebody decided on this page before. */
const byHand = (evidence: string | null | undefined) => evidence === 'chosen by hand';

/** True for a column that is no property, but kept with the tool. */
export function kept(symbol: string): boolean {
  return symbol === '' || symbol === 'NOTE' || symbol.startsWith('NOTE:');
}

/** What a column gives: its symbol, or those of the pieces that its cells are taken apart into. */
export function symbolsOf(column: Reading['columns'][number]): string[] {
  const split = column.decision?.split;
  return split ? [...split.matchAll(/\{([^{}]*)\}/g)].map(([, symbol]) => symbol) : [column.symbol];
}

/** What a person decides about reading a table, before it is read so. */
export class ReadingDraft {
  encoding = $state<string>();
  delimiter = $state<string>();
  decimal = $state<string>();
  unit = $state<string>();
  columns = $state<Record<number, ColumnDecision>>({});
  constants = $state<Record<string, string>>({});
  /** Name of a recipe; empty for none, undefined for the one that fits. */
  recipe = $state<string>();

  constructor(reading: Reading) {
    this.encoding = byHand(reading.encodingEvidence) ? reading.encoding : undefined;
    this.delimiter = byHand(reading.delimiterEvidence) ? reading.delimiter : undefined;
    this.decimal = byHand(reading.decimalEvidence) ? reading.decimal : undefined;
    this.unit = byHand(reading.unitEvidence) ? (reading.unit ?? undefined) : undefined;
    this.recipe = reading.recipe?.name;
    this.constants = { ...reading.constants };
    reading.columns.forEach((column, position) => {
      if (column.decision && byHand(column.evidence)) {
        this.columns[position] = { ...column.decision };
      }
    });
  }

  /** What the server is asked. */
  get body(): ReadingChoice {
    return {
      encoding: this.encoding,
      delimiter: this.delimiter,
      decimal: this.decimal,
      unit: this.unit,
      columns: $state.snapshot(this.columns),
      constants: $state.snapshot(this.constants),
      recipe: this.recipe
    };
  }

  /** Decides about one column; what is not named stays as it is read now. */
  decide(position: number, now: Reading['columns'][number], change: Partial<ColumnDecision>) {
    const before: ColumnDecision = this.columns[position] ??
      now.decision ?? { symbol: now.symbol, unit: now.unit };
    this.columns[position] = { ...before, ...change };
  }

  /** Columns as they are decided here, also while the answer about it is still awaited. */
  over(columns: Reading['columns']): Reading['columns'] {
    return columns.map((column, position) => {
      const decision = this.columns[position];
      return decision ? { ...column, decision, symbol: decision.symbol ?? column.symbol } : column;
    });
  }

  /** What one symbol is read from: no two columns give one dimension. */
  give(symbol: string, position: number, all: Reading['columns']) {
    all.forEach((column, other) => {
      const read = this.columns[other]?.symbol ?? column.symbol;
      if (other !== position && read === symbol) this.decide(other, column, { symbol: 'NOTE' });
    });
    this.decide(position, all[position], { symbol, unit: undefined });
  }
}

/** Words as a person types them, one a line: {@code SF = end-mill-flat}. */
export function wordsOf(text: string): Record<string, string> {
  return Object.fromEntries(
    text
      .split('\n')
      .map((line) => line.split('='))
      .filter((parts) => parts.length > 1 && parts[0].trim() !== '')
      .map(([from, ...to]) => [from.trim(), to.join('=').trim()])
  );
}

export function wordsText(words: Record<string, string> | null | undefined): string {
  return Object.entries(words ?? {})
    .map(([from, to]) => `${from} = ${to}`)
    .join('\n');
}
