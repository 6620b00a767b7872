import { infiniteQueryOptions, keepPreviousData, queryOptions } from '@tanstack/svelte-query';
import { ALL } from '$lib/api/cache';
import { api, ask, type BulkBody, type CopyBody } from '$lib/api/client';
import type { ListQuery, Sort } from './filter.svelte';

const PAGE = 100;
const PICKED_FROM = 200;

export const librariesQuery = () =>
  queryOptions({
    queryKey: ['library', ALL],
    queryFn: () => ask(api.GET('/api/v1/libraries'))
  });

export const libraryQuery = (id: number) =>
  queryOptions({
    queryKey: ['library', String(id)],
    queryFn: () => ask(api.GET('/api/v1/libraries/{id}', { params: { path: { id } } }))
  });

/** What changed a library, the newest first. */
export const libraryHistoryQuery = (id: number) =>
  queryOptions({
    queryKey: ['library', String(id), 'history'],
    queryFn: () => ask(api.GET('/api/v1/libraries/{id}/history', { params: { path: { id } } }))
  });

/**
 * What is not the same in a library after two of its lines.
 *
 * @param to without it what the library is now
 */
export const libraryComparedQuery = (id: number, from: number, to: number | undefined) =>
  queryOptions({
    queryKey: ['library', String(id), 'history', from, to],
    queryFn: () =>
      ask(
        api.GET('/api/v1/libraries/{id}/history/compare', {
          params: { path: { id }, query: { from, to } }
        })
      )
  });

/** All libraries with what stands in them, where they are used and what waits there. */
export const overviewQuery = () =>
  queryOptions({
    queryKey: ['library', ALL, 'overview'],
    queryFn: () => ask(api.GET('/api/v1/libraries/overview'))
  });

/** Libraries that a library includes. */
export const includesQuery = (id: number) =>
  queryOptions({
    queryKey: ['library', String(id), 'includes'],
    queryFn: () => ask(api.GET('/api/v1/libraries/{id}/includes', { params: { path: { id } } }))
  });

/** The sections of a library, each before those in it. */
export const sectionsQuery = (id: number) =>
  queryOptions({
    queryKey: ['library', String(id), 'sections'],
    queryFn: () => ask(api.GET('/api/v1/libraries/{id}/sections', { params: { path: { id } } })),
    enabled: id > 0
  });

/** What would become of tools that are copied into a library. */
export const copyPreviewQuery = (id: number, order: CopyBody) =>
  queryOptions({
    queryKey: ['library', String(id), 'copy', order],
    queryFn: () =>
      ask(
        api.POST('/api/v1/libraries/{id}/copy', {
          params: { path: { id }, query: { preview: true } },
          body: order
        })
      ),
    enabled: id > 0,
    placeholderData: keepPreviousData
  });

/** What one change would do to many tools. */
export const bulkPreviewQuery = (order: BulkBody) =>
  queryOptions({
    queryKey: ['tool', ALL, 'bulk', order],
    queryFn: () =>
      ask(api.POST('/api/v1/tools/bulk', { params: { query: { preview: true } }, body: order })),
    staleTime: 0
  });

/** The ids of all tools of a list. */
export const allIds = (library: number | null, query: ListQuery) =>
  ask(
    api.GET('/api/v1/tools/ids', { params: { query: { ...query, library: library ?? undefined } } })
  );

/** The columns that lists of tools can have. */
export const toolColumnsQuery = () =>
  queryOptions({
    queryKey: ['tool column', ALL],
    queryFn: () => ask(api.GET('/api/v1/tool-columns')),
    staleTime: Infinity
  });

/** How many tools there are of each class and diameter; in all libraries for null. */
export const facetsQuery = (id: number | null, query: ListQuery) =>
  queryOptions({
    queryKey: ['library', String(id ?? ALL), 'facets', query],
    queryFn: () =>
      ask(
        id === null
          ? api.GET('/api/v1/tools/facets', { params: { query } })
          : api.GET('/api/v1/libraries/{id}/facets', { params: { path: { id }, query } })
      ),
    placeholderData: keepPreviousData
  });

/** A page of the tools of a library, or of all libraries for null. */
export function toolsPage(
  id: number | null,
  query: ListQuery & {
    group?: string;
    sort: Sort;
    down: boolean;
    uses?: boolean;
    trust?: boolean;
    material?: string;
    after?: string;
    limit: number;
  }
) {
  return ask(
    id === null
      ? api.GET('/api/v1/tools', { params: { query } })
      : api.GET('/api/v1/libraries/{id}/tools', { params: { path: { id }, query } })
  );
}

/** The tools of a library, or of all libraries for null, page by page. */
export const toolsQuery = (
  id: number | null,
  query: ListQuery,
  group: string,
  sort: Sort,
  down: boolean,
  belonging: { uses: boolean; material?: string }
) =>
  infiniteQueryOptions({
    queryKey: ['library', String(id ?? ALL), 'tools', query, group, sort, down, belonging],
    initialPageParam: undefined as string | undefined,
    queryFn: ({ pageParam }) =>
      toolsPage(id, {
        ...query,
        group: group || undefined,
        sort,
        down,
        ...belonging,
        after: pageParam,
        limit: PAGE
      }),
    getNextPageParam: (last) => last.next ?? undefined,
    placeholderData: keepPreviousData
  });

/** The first tools that some words find. */
export const foundToolsQuery = (id: number, words: string, trustedFirst = false) =>
  queryOptions({
    queryKey: ['library', String(id), 'found', words, trustedFirst],
    queryFn: () =>
      ask(
        api.GET('/api/v1/libraries/{id}/tools', {
          params: {
            path: { id },
            query: {
              q: words || undefined,
              limit: PICKED_FROM,
              ...(trustedFirst ? { sort: 'standing', down: true } : {})
            }
          }
        })
      ),
    enabled: id > 0,
    placeholderData: keepPreviousData
  });

/** What a file of a library would drop or round. */
export const lossesQuery = (id: number, format: string, unit: string) =>
  queryOptions({
    queryKey: ['library', String(id), 'losses', format, unit],
    queryFn: () =>
      ask(
        api.GET('/api/v1/libraries/{id}/losses', {
          params: { path: { id }, query: { format, unit: unit || undefined } }
        })
      )
  });

/** The newest files that a library was written as. */
export const writtenFilesQuery = (id: number) =>
  queryOptions({
    queryKey: ['file', String(id)],
    queryFn: () => ask(api.GET('/api/v1/libraries/{id}/files', { params: { path: { id } } })),
    refetchInterval: (query) =>
      (query.state.data?.items ?? []).some(({ state }) => ['waiting', 'writing'].includes(state))
        ? 1000
        : false
  });

/** Who may do what in a library. */
export const rightsQuery = (id: number) =>
  queryOptions({
    queryKey: ['library', String(id), 'rights'],
    queryFn: () => ask(api.GET('/api/v1/libraries/{id}/rights', { params: { path: { id } } }))
  });
