import { infiniteQueryOptions, keepPreviousData, queryOptions } from '@tanstack/svelte-query';
import { ALL } from '$lib/api/cache';
import { api, ask } from '$lib/api/client';

const PAGE = 100;

/** Which lines of the trail somebody wants; what is not there wants all. */
export interface Wanted {
  who?: string;
  kind?: string;
  subject?: string;
  library?: number;
  text?: string;
  from?: string;
}

/** What was done, newest first, page by page. */
export const trailQuery = (wanted: Wanted) =>
  infiniteQueryOptions({
    queryKey: ['trail', ALL, wanted],
    initialPageParam: undefined as string | undefined,
    queryFn: ({ pageParam }) =>
      ask(
        api.GET('/api/v1/trail', {
          params: { query: { ...wanted, after: pageParam, limit: PAGE } }
        })
      ),
    getNextPageParam: (last) => last.next ?? undefined,
    placeholderData: keepPreviousData
  });

export const peopleQuery = () =>
  queryOptions({
    queryKey: ['trail', ALL, 'people'],
    queryFn: () => ask(api.GET('/api/v1/trail/people'))
  });
