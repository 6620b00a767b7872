import { describe, expect, it } from 'vitest';
import type { Piece } from '$lib/api/client';
import { beside, inStage, nextToMeasure, way } from './words';

const piece = (id: number, stage: Piece['stage']) => ({ id, serial: `A.${id}`, stage }) as Piece;

describe('the way of a piece', () => {
  it('has every stage once', () => {
    const stages = [...way, ...beside].map(({ stage }) => stage);
    expect(new Set(stages).size).toBe(stages.length);
    expect(stages[0]).toBe('TO_ASSEMBLE');
  });

  it('shows pieces where they are', () => {
    const pieces = [piece(1, 'READY'), piece(2, 'TO_FETCH')];
    expect(inStage(pieces, 'TO_FETCH').map(({ id }) => id)).toEqual([2]);
  });
});

describe('the next piece to measure', () => {
  const pieces = [piece(1, 'TO_MEASURE'), piece(2, 'READY'), piece(3, 'TO_MEASURE')];

  it('is the one that follows', () => {
    expect(nextToMeasure(pieces, 1)?.id).toBe(3);
    expect(nextToMeasure(pieces, 2)?.id).toBe(3);
  });

  it('begins again after the last', () => {
    expect(nextToMeasure(pieces, 3)?.id).toBe(1);
  });

  it('is none where no other waits', () => {
    expect(nextToMeasure([piece(1, 'TO_MEASURE')], 1)).toBeUndefined();
  });
});
