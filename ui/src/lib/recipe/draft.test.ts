import { describe, expect, it } from 'vitest';
import type { Reading } from '$lib/api/client';
import { kept, ReadingDraft, symbolsOf, wordsOf, wordsText } from './draft.svelte';

const column = (header: string, symbol: string, evidence = 'its header says so') => ({
  header,
  symbol,
  unit: undefined,
  evidence,
  decision: evidence === 'chosen by hand' ? { symbol } : undefined,
  samples: [],
  guess: undefined,
  guessEvidence: ''
});

const reading = (columns: ReturnType<typeof column>[]): Reading =>
  ({
    encoding: 'UTF-8',
    encodingEvidence: 'reads as UTF-8',
    delimiter: ';',
    delimiterEvidence: 'chosen by hand',
    decimal: ',',
    decimalEvidence: '3 cells',
    unit: 'mm',
    unitEvidence: '',
    columns,
    constants: {},
    recipe: undefined
  }) as Reading;

describe('deciding about a table', () => {
  it('begins with what was decided before, and only with that', () => {
    const draft = new ReadingDraft(
      reading([column('Nr', 'CODE'), column('X', 'SIG', 'chosen by hand')])
    );
    expect(draft.body).toMatchObject({ delimiter: ';', columns: { 1: { symbol: 'SIG' } } });
    expect(draft.body.decimal).toBeUndefined();
  });

  it('gives a dimension from one column only', () => {
    const all = reading([column('D', 'DC'), column('D2', 'NOTE:D2')]);
    const draft = new ReadingDraft(all);
    draft.give('DC', 1, all.columns);
    expect(draft.columns[1].symbol).toBe('DC');
    expect(draft.columns[0].symbol).toBe('NOTE');
  });

  it('keeps what was decided about a column when more is decided', () => {
    const all = reading([column('Mass', 'NOTE:Mass')]);
    const draft = new ReadingDraft(all);
    draft.decide(0, all.columns[0], { split: '{DC}x{OAL}' });
    draft.decide(0, all.columns[0], { factor: '10' });
    expect(draft.columns[0]).toMatchObject({ split: '{DC}x{OAL}', factor: '10' });
  });

  it('shows what was decided before any answer about it has come', () => {
    const all = reading([column('Mass', 'NOTE:Mass'), column('X', 'SIG')]);
    const draft = new ReadingDraft(all);
    draft.decide(0, all.columns[0], { split: '{DC}x' });
    draft.decide(0, all.columns[0], { split: '{DC}x{OAL}' });
    const [mass, angle] = draft.over(all.columns);
    expect(mass.decision?.split).toBe('{DC}x{OAL}');
    expect(angle).toEqual(all.columns[1]);
    expect(draft.over(reading([column('Mass', 'DC')]).columns)[0].symbol).toBe('NOTE:Mass');
  });

  it('reads words line by line and writes them so', () => {
    const words = wordsOf('SF = end-mill-flat\nnothing\n = x\nBO=drill-twist');
    expect(words).toEqual({ SF: 'end-mill-flat', BO: 'drill-twist' });
    expect(wordsOf(wordsText(words))).toEqual(words);
  });

  it('tells what a column gives, taken apart or not', () => {
    const mass = { ...column('Mass', 'NOTE'), decision: { split: 'D{DC}xL{OAL}' } };
    expect(symbolsOf(mass)).toEqual(['DC', 'OAL']);
    expect(symbolsOf(column('D', 'DC'))).toEqual(['DC']);
  });

  it('knows notes', () => {
    expect([kept(''), kept('NOTE:Bin'), kept('DC')]).toEqual([true, true, false]);
  });
});
