import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { cache } from '$lib/api/cache';
import { api } from '$lib/api/client';
import { connection, counted, listen, soFar } from './live.svelte';

describe('running work', () => {
  it('counts what is taken or put right so far and forgets it at the end', () => {
    expect(counted({ topic: 'delivery', subject: '7', detail: 'taking 3000' })).toBe(true);
    expect(soFar(7)).toEqual({ deed: 'taking', count: 3000 });
    expect(soFar(8)).toBeUndefined();
    expect(counted({ topic: 'delivery', subject: '8', detail: 'correcting 1000' })).toBe(true);
    expect(soFar(8)).toEqual({ deed: 'correcting', count: 1000 });
    expect(counted({ topic: 'delivery', subject: '8', detail: 'not done' })).toBe(false);
    expect(soFar(8)).toBeUndefined();
    expect(counted({ topic: 'delivery', subject: '7', detail: 'taken' })).toBe(false);
    expect(soFar(7)).toBeUndefined();
  });

  it('leaves other news to the pages', () => {
    expect(counted({ topic: 'library', subject: '7', detail: 'taking 1' })).toBe(false);
    expect(soFar(7)).toBeUndefined();
  });
});

describe('a stream of news', () => {
  /** A stream that breaks and mends when a test says so. */
  class Stream {
    static readonly CLOSED = 2;
    static opened: Stream[] = [];
    readyState = 1;
    onopen = () => {};
    onerror = () => {};

    constructor() {
      Stream.opened.push(this);
    }

    close() {
      this.readyState = Stream.CLOSED;
    }
  }

  let end: () => void;
  const stream = () => Stream.opened.at(-1)!;
  const reloaded = () => vi.mocked(cache.invalidateQueries).mock.calls.length;

  function sessionOf(name?: string) {
    const data = { name, may: [] };
    vi.spyOn(api, 'GET').mockResolvedValue({ data, response: new Response() } as never);
  }

  beforeEach(() => {
    vi.useFakeTimers();
    vi.stubGlobal('EventSource', Stream);
    vi.spyOn(cache, 'invalidateQueries').mockResolvedValue();
    Stream.opened = [];
    end = listen();
    stream().onopen();
  });

  afterEach(() => {
    end();
    vi.useRealTimers();
    vi.unstubAllGlobals();
    vi.restoreAllMocks();
  });

  it('loads all that is shown after a break, for what was said meanwhile is lost', () => {
    expect(reloaded()).toBe(0);
    stream().onerror();
    stream().onopen();
    expect(reloaded()).toBe(1);
  });

  it('speaks of a break that lasts, until the server is heard again', () => {
    stream().onerror();
    expect(connection.state).toBe('heard');
    vi.advanceTimersByTime(3000);
    stream().onerror();
    expect(connection.state).toBe('lost');
    stream().onopen();
    expect(connection.state).toBe('heard');
    vi.advanceTimersByTime(10_000);
    expect(connection.state).toBe('heard');
  });

  it('asks again where the browser gave up', async () => {
    sessionOf('lead');
    stream().close();
    stream().onerror();
    await vi.advanceTimersByTimeAsync(4000);
    expect(Stream.opened).toHaveLength(2);
    expect(connection.state).toBe('lost');
    stream().onopen();
    expect(connection.state).toBe('heard');
  });

  it('says that somebody is signed out and asks no more', async () => {
    sessionOf();
    stream().close();
    stream().onerror();
    await vi.advanceTimersByTimeAsync(60_000);
    expect(Stream.opened).toHaveLength(1);
    expect(connection.state).toBe('signed out');
  });

  it('asks no more once the page is left', async () => {
    sessionOf('lead');
    stream().close();
    stream().onerror();
    end();
    await vi.advanceTimersByTimeAsync(60_000);
    expect(Stream.opened).toHaveLength(1);
    expect(connection.state).toBe('heard');
  });
});
