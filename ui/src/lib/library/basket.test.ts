// @vitest-environment jsdom
import { beforeEach, describe, expect, it } from 'vitest';
import type { ToolRow } from '$lib/api/client';
import { Basket, MOST_PICKED, picksOf } from './basket.svelte';

const row = (toolId: number, libraryId = 1) =>
  ({ toolId, libraryId, library: 'Mills', number: toolId, code: `M-${toolId}` }) as ToolRow;
const ids = (basket: Basket) => basket.picked.map(({ toolId }) => toolId);

describe('the basket', () => {
  let basket: Basket;

  beforeEach(() => {
    localStorage.clear();
    basket = new Basket('of this test');
  });

  it('holds each tool once, in the order in which they came', () => {
    expect(basket.add([row(3), row(1), row(3)])).toBe(2);
    expect(basket.add([row(1), row(2)])).toBe(1);
    expect(ids(basket)).toEqual([3, 1, 2]);
  });

  it('moves a tool before another one and to the end', () => {
    basket.add([row(1), row(2), row(3)]);
    basket.move(3, 1);
    expect(ids(basket)).toEqual([3, 1, 2]);
    basket.move(3, null);
    expect(ids(basket)).toEqual([1, 2, 3]);
    basket.move(2, 2);
    expect(ids(basket)).toEqual([1, 2, 3]);
  });

  it('takes no more than can be looked at', () => {
    basket.add(Array.from({ length: MOST_PICKED - 1 }, (_, i) => row(i + 1)));
    expect(basket.add([row(90_001), row(90_002)])).toBe(1);
    expect(basket.picked.length).toBe(MOST_PICKED);
  });

  it('is asked for library by library, in its order', () => {
    basket.add([row(1, 7), row(2, 7), row(3, 8), row(4, 7)]);
    expect(picksOf(basket.picked)).toEqual([
      { from: 7, tools: [1, 2] },
      { from: 8, tools: [3] },
      { from: 7, tools: [4] }
    ]);
  });

  it('is there again when the page is loaded anew', () => {
    basket.add([row(1), row(2)]);
    basket.remove([1]);
    expect(ids(new Basket('of this test'))).toEqual([2]);
  });
});
