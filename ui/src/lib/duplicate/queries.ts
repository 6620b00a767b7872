import { infiniteQueryOptions, keepPreviousData, queryOptions } from '@tanstack/svelte-query';
import { ALL } from '$lib/api/cache';
import { api, ask, type MergeBody } from '$lib/api/client';

const PAGE = 20;

/** How the last search of the shop went. */
export const duplicateSearchQuery = () =>
  queryOptions({
    queryKey: ['duplicates', ALL, 'search'],
    queryFn: () => ask(api.GET('/api/v1/duplicates/search'))
  });

/** Tools that may be one, page by page; of all libraries for null. */
export const duplicatesQuery = (library: number | null) =>
  infiniteQueryOptions({
    queryKey: ['duplicates', ALL, 'groups', library],
    initialPageParam: undefined as string | undefined,
    queryFn: ({ pageParam }) =>
      ask(
        api.GET('/api/v1/duplicates', {
          params: { query: { library: library ?? undefined, after: pageParam, limit: PAGE } }
        })
      ),
    getNextPageParam: (last) => last.next ?? undefined,
    placeholderData: keepPreviousData
  });

/** What a merge would do. */
export const mergePreviewQuery = (order: MergeBody) =>
  queryOptions({
    queryKey: ['tool', ALL, 'merge', order],
    queryFn: () =>
      ask(
        api.POST('/api/v1/duplicates/merge', {
          params: { query: { preview: true } },
          body: order
        })
      ),
    staleTime: 0,
    retry: false
  });
