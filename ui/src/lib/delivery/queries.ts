import { infiniteQueryOptions, queryOptions } from '@tanstack/svelte-query';
import { ALL } from '$lib/api/cache';
import { api, ask } from '$lib/api/client';

const PAGE = 50;

export const deliveriesQuery = () =>
  queryOptions({
    queryKey: ['delivery', ALL],
    queryFn: () => ask(api.GET('/api/v1/deliveries'))
  });

export const deliveryQuery = (id: number) =>
  queryOptions({
    queryKey: ['delivery', String(id), 'head'],
    queryFn: () => ask(api.GET('/api/v1/deliveries/{id}', { params: { path: { id } } }))
  });

/** What was found in the lines, by kind. */
export const findingsQuery = (id: number) =>
  queryOptions({
    queryKey: ['delivery', String(id), 'findings'],
    queryFn: () => ask(api.GET('/api/v1/deliveries/{id}/findings', { params: { path: { id } } }))
  });

/** Lines with a finding or a disposition, page by page. */
export const linesQuery = (id: number, finding?: string, disposition?: string) =>
  infiniteQueryOptions({
    queryKey: ['delivery', String(id), 'lines', finding ?? '', disposition ?? ''],
    initialPageParam: undefined as number | undefined,
    queryFn: ({ pageParam }) =>
      ask(
        api.GET('/api/v1/deliveries/{id}/lines', {
          params: { path: { id }, query: { finding, disposition, after: pageParam, limit: PAGE } }
        })
      ),
    getNextPageParam: (last) => (last.next ? Number(last.next) : undefined)
  });
