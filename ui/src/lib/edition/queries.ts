import { keepPreviousData, queryOptions } from '@tanstack/svelte-query';
import { api, ask } from '$lib/api/client';

/** The editions of a library, the newest first. */
export const editionsQuery = (library: number) =>
  queryOptions({
    queryKey: ['library', String(library), 'editions'],
    queryFn: () =>
      ask(api.GET('/api/v1/libraries/{id}/editions', { params: { path: { id: library } } }))
  });

/**
 * What is not the same in two editions of a library.
 *
 * @param b the later one; nothing for what stands there now
 */
export const comparedQuery = (library: number, a: number, b: number | undefined) =>
  queryOptions({
    queryKey: ['library', String(library), 'editions', a, b],
    queryFn: () => ask(api.GET('/api/v1/editions/compare', { params: { query: { a, b } } })),
    placeholderData: keepPreviousData
  });
