import { queryOptions } from '@tanstack/svelte-query';
import { ALL } from '$lib/api/cache';
import { api, ask, type LinkKind } from '$lib/api/client';

export const linksQuery = () =>
  queryOptions({
    queryKey: ['link', ALL],
    queryFn: () => ask(api.GET('/api/v1/links'))
  });

export const strayLinksQuery = () =>
  queryOptions({
    queryKey: ['link', ALL, 'strays'],
    queryFn: () => ask(api.GET('/api/v1/links', { params: { query: { strays: true } } }))
  });

/** What a change of something would touch. */
export const touchesQuery = (kind: LinkKind, id: string) =>
  queryOptions({
    queryKey: ['touches', kind, id],
    queryFn: () => ask(api.GET('/api/v1/touches', { params: { query: { kind, id } } }))
  });
