import { infiniteQueryOptions } from '@tanstack/svelte-query';
import { ALL } from '$lib/api/cache';
import { api, ask } from '$lib/api/client';

const PAGE = 100;

/** What was done, newest first, page by page. */
export const trailQuery = () =>
  infiniteQueryOptions({
    queryKey: ['trail', ALL],
    initialPageParam: undefined as string | undefined,
    queryFn: ({ pageParam }) =>
      ask(api.GET('/api/v1/trail', { params: { query: { after: pageParam, limit: PAGE } } })),
    getNextPageParam: (last) => last.next ?? undefined
  });
