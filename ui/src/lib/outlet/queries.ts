import { queryOptions } from '@tanstack/svelte-query';
import { ALL } from '$lib/api/cache';
import { api, ask } from '$lib/api/client';

/** So often is looked whether a file was written meanwhile. */
const EACH_MS = 3000;

/** Outlets of one library, or of all, and how they stand. */
export const outletsQuery = (library: number | null) =>
  queryOptions({
    queryKey: ['library', String(library ?? ALL), 'outlets'],
    queryFn: () =>
      ask(api.GET('/api/v1/outlets', { params: { query: { library: library ?? undefined } } })),
    refetchInterval: (query) =>
      query.state.data?.items.some(({ state }) => state === 'WAITING' || state === 'STALE')
        ? EACH_MS
        : false
  });
