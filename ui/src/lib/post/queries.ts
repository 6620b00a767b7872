import { queryOptions } from '@tanstack/svelte-query';
import { ALL } from '$lib/api/cache';
import { api, ask } from '$lib/api/client';

/** @param machine those that serve it; of all machines where it is left out */
export const postsQuery = (machine?: string) =>
  queryOptions({
    queryKey: ['post', ALL, machine],
    queryFn: () => ask(api.GET('/api/v1/posts', { params: { query: { machine } } }))
  });

export const postQuery = (id: number) =>
  queryOptions({
    queryKey: ['post', String(id)],
    queryFn: () => ask(api.GET('/api/v1/posts/{id}', { params: { path: { id } } }))
  });

/** What of a library can be posted. */
export const postCheckQuery = (id: number, library: number) =>
  queryOptions({
    queryKey: ['post', String(id), 'check', library],
    queryFn: () =>
      ask(api.GET('/api/v1/posts/{id}/check', { params: { path: { id }, query: { library } } }))
  });

/**
 * What operations begin with, for whoever asks.
 *
 * @param machine where; that of the post where it is left out
 */
export const defaultsQuery = (id: number, machine?: string) =>
  queryOptions({
    queryKey: ['post', String(id), 'defaults', machine],
    queryFn: () =>
      ask(api.GET('/api/v1/posts/{id}/defaults', { params: { path: { id }, query: { machine } } }))
  });

export const defaultKeysQuery = () =>
  queryOptions({
    queryKey: ['default keys'],
    queryFn: () => ask(api.GET('/api/v1/posts/default-keys'))
  });

/** Posts that serve a machine, and with which of them it works. */
export const machinePostsQuery = (machine: string) =>
  queryOptions({
    queryKey: ['post', ALL, 'machine', machine],
    queryFn: () => ask(api.GET('/api/v1/machines/{id}/post', { params: { path: { id: machine } } }))
  });

/**
 * What operations begin with at a machine, for whoever asks.
 *
 * @param feed what the cutting data say, mm/min
 */
export const feedsQuery = (id: number, machine: string, feed: number) =>
  queryOptions({
    queryKey: ['post', String(id), 'feeds', machine, feed],
    queryFn: () =>
      ask(
        api.GET('/api/v1/posts/{id}/feeds', {
          params: { path: { id }, query: { machine, feed } }
        })
      )
  });
