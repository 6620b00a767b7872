import { beforeEach, describe, expect, it, vi } from 'vitest';

vi.mock('$lib/api/client', () => import('$lib/testing/server'));

import type { StackOffer } from '$lib/api/client';
import { get, post } from '$lib/testing/server';
import { StackBuilder } from './builder.svelte';

const offer = (id: number, workSide: string) =>
  ({
    id,
    component: { code: `P${id}`, workSide },
    fits: true,
    takesCutter: false,
    why: ''
  }) as unknown as StackOffer;

describe('a stack being built', () => {
  beforeEach(() => {
    get.mockReset().mockResolvedValue({ items: [] });
    post.mockReset().mockResolvedValue({ findings: [], shape: {} });
  });

  const asked = () => post.mock.calls.at(-1)?.[1].body;

  it('leaves the overhang to the server until somebody gives one', async () => {
    const builder = new StackBuilder(7);
    await builder.check();
    expect(asked().overhang).toBeUndefined();
    builder.setOverhang(42);
    expect(asked().overhang).toBe(42);
  });

  it('asks for what goes into the last part', async () => {
    const builder = new StackBuilder(7);
    builder.seat = 'ST-JD-40:f';
    await builder.check();
    expect(get.mock.calls.at(-1)?.[1].params.query.socket).toBe('ST-JD-40:f');
    builder.add(offer(1, 'CO-A-32:f'));
    expect(get.mock.calls.at(-1)?.[1].params.query.socket).toBe('CO-A-32:f');
  });

  it('is changed by whoever builds on, and no more once it is opened as it was saved', () => {
    const builder = new StackBuilder(7);
    expect(builder.changed).toBe(false);
    builder.add(offer(1, 'CO-A-32:f'));
    expect(builder.changed).toBe(true);
    const { parts } = builder;
    builder.open({ id: 3, version: 1, name: '', seat: '', parts, overhang: 40 } as never);
    expect(builder.changed).toBe(false);
    builder.setOverhang(42);
    expect(builder.changed).toBe(true);
    const { said } = builder;
    builder.setOverhang(44);
    builder.saved(3, 2, said);
    expect(builder.changed).toBe(true);
    builder.saved(3, 3, builder.said);
    expect(builder.changed).toBe(false);
    builder.setOverhang(40);
    builder.empty();
    expect(builder.changed).toBe(false);
  });

  it('takes out a part and what it carries', () => {
    const builder = new StackBuilder(7);
    for (const id of [1, 2, 3]) builder.add(offer(id, 'CY-SF-10:f'));
    builder.remove(1);
    expect(asked().components).toEqual([1]);
  });

  it('names the versions that parts stay with, until they follow', () => {
    const builder = new StackBuilder(7);
    builder.add(offer(1, 'CY-SF-10:f'));
    builder.parts = builder.parts.map((part) => ({ ...part, stays: 2, version: 3 }));
    void builder.check();
    expect(asked().stays).toEqual({ 1: 2 });
    builder.follow(0);
    expect(asked().stays).toEqual({});
  });

  it('judges a wall only when height and distance are given', () => {
    const builder = new StackBuilder(7);
    builder.height = 40;
    void builder.check();
    expect(asked().wall).toBeUndefined();
    builder.distance = 12;
    void builder.check();
    expect(asked().wall).toEqual({ height: 40, distance: 12 });
  });

  it('asks about a pocket instead of a wall, with its corners where they are given', () => {
    const builder = new StackBuilder(7);
    builder.height = 40;
    builder.distance = 12;
    builder.beside = 'pocket';
    void builder.check();
    expect(asked().wall).toBeUndefined();
    expect(asked().pocket).toBeUndefined();
    builder.depth = 30;
    void builder.check();
    expect(asked().pocket).toEqual({ depth: 30 });
    builder.corner = 4;
    void builder.check();
    expect(asked().pocket).toEqual({ depth: 30, corner: 4 });
    builder.beside = 'wall';
    void builder.check();
    expect(asked().pocket).toBeUndefined();
    expect(asked().wall).toEqual({ height: 40, distance: 12 });
  });

  it('says what the server refuses', async () => {
    const builder = new StackBuilder(7);
    post.mockRejectedValue(new Error('this tool does not rotate'));
    await builder.check();
    expect(builder.problem).toBe('this tool does not rotate');
  });
});
