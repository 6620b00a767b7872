import { vi } from 'vitest';

/**
 * The server as tests answer for it, in place of `$lib/api/client`:
 * `vi.mock('$lib/api/client', () => import('$lib/testing/server'))`.
 */
export const get = vi.fn();
export const post = vi.fn();
export const put = vi.fn();
export const patch = vi.fn();
export const del = vi.fn();

export const api = { GET: get, POST: post, PUT: put, PATCH: patch, DELETE: del };

export const ask = (answer: Promise<unknown>) => answer;
