import { infiniteQueryOptions, keepPreviousData, queryOptions } from '@tanstack/svelte-query';
import { ALL } from '$lib/api/cache';
import { api, ask, type NamingPatterns } from '$lib/api/client';

export const patternsQuery = (library: number) =>
  queryOptions({
    queryKey: ['library', String(library), 'naming'],
    queryFn: () =>
      ask(api.GET('/api/v1/libraries/{id}/naming', { params: { path: { id: library } } }))
  });

/** What may stand between braces. */
export const patternFieldsQuery = () =>
  queryOptions({
    queryKey: ['naming field', ALL],
    queryFn: () => ask(api.GET('/api/v1/naming/fields')),
    staleTime: Infinity
  });

/** What patterns, as typed, make of the tools of a library. */
export const namingPreviewQuery = (library: number, patterns: NamingPatterns) =>
  infiniteQueryOptions({
    queryKey: ['library', String(library), 'naming preview', patterns],
    initialPageParam: 0,
    queryFn: ({ pageParam }) =>
      ask(
        api.POST('/api/v1/libraries/{id}/naming/preview', {
          params: { path: { id: library }, query: { after: pageParam } },
          body: patterns
        })
      ),
    getNextPageParam: (last) => last.next ?? undefined,
    placeholderData: keepPreviousData
  });

/** What a program's comment says of a tool. */
export const commentQuery = (text: string) =>
  queryOptions({
    queryKey: ['explain', 'comment', text],
    queryFn: () => ask(api.GET('/api/v1/explain/comment', { params: { query: { text } } })),
    placeholderData: keepPreviousData,
    enabled: text !== ''
  });
