import { queryOptions } from '@tanstack/svelte-query';
import { ALL } from '$lib/api/cache';
import { api, ask, type LoadSort, type UseOrder } from '$lib/api/client';
import type { Dragged } from './dragged';

export const machinesQuery = () =>
  queryOptions({
    queryKey: ['machine', ALL],
    queryFn: () => ask(api.GET('/api/v1/machines'))
  });

/** Machines to begin with, one of each kind. */
export const machineKindsQuery = () =>
  queryOptions({
    queryKey: ['machine kinds'],
    queryFn: () => ask(api.GET('/api/v1/machines/kinds'))
  });

/** Ways in which controls can speak. */
export const dialectsQuery = () =>
  queryOptions({
    queryKey: ['control dialects'],
    queryFn: () => ask(api.GET('/api/v1/machines/dialects'))
  });

export const machineQuery = (id: string) =>
  queryOptions({
    queryKey: ['machine', id, 'plan'],
    queryFn: () => ask(api.GET('/api/v1/machines/{id}', { params: { path: { id } } }))
  });

/** Where the control of a machine is. */
export const linkQuery = (id: string) =>
  queryOptions({
    queryKey: ['machine', id, 'link'],
    queryFn: () => ask(api.GET('/api/v1/machines/{id}/link', { params: { path: { id } } }))
  });

/** Why tools of a library can go into no place of a machine; those that can are left out. */
export const unsuitedQuery = (id: string, libraryId: number, tools: number[]) =>
  queryOptions({
    queryKey: ['machine', id, 'unsuited', libraryId, tools],
    queryFn: () =>
      ask(
        api.POST('/api/v1/machines/{id}/unsuited', {
          params: { path: { id } },
          body: { libraryId, tools }
        })
      )
  });

/** From which library tools for a machine are picked where nobody says another. */
export const pickedFromQuery = (id: string) =>
  queryOptions({
    queryKey: ['machine', id, 'picked from'],
    queryFn: () => ask(api.GET('/api/v1/machines/{id}/picked-from', { params: { path: { id } } }))
  });

/** Why a tool cannot go into which places. */
export const refusalsQuery = (
  id: string,
  { toolId, libraryId, from, another }: Partial<Dragged> & { another?: boolean }
) =>
  queryOptions({
    queryKey: ['machine', id, 'refusals', toolId, libraryId, from, another],
    queryFn: () =>
      ask(
        api.GET('/api/v1/machines/{id}/plan/refusals', {
          params: { path: { id }, query: { toolId: toolId ?? 0, libraryId, from, another } }
        })
      )
  });

/** How a planned tool is used in its place. */
export const useQuery = (id: string, place: string) =>
  queryOptions({
    queryKey: ['machine', id, 'use', place],
    queryFn: () =>
      ask(api.GET('/api/v1/machines/{id}/plan/{place}/use', { params: { path: { id, place } } }))
  });

/** What another use would come to. */
export const useLookQuery = (id: string, place: string, order: UseOrder) =>
  queryOptions({
    queryKey: ['machine', id, 'use', place, order],
    queryFn: () =>
      ask(
        api.POST('/api/v1/machines/{id}/plan/{place}/use/look', {
          params: { path: { id, place } },
          body: order
        })
      )
  });

/** The number that each place would have. */
export const numbersQuery = (id: string, order: { places: string[]; first: number }) =>
  queryOptions({
    queryKey: ['machine', id, 'numbers', order],
    queryFn: () =>
      ask(api.POST('/api/v1/machines/{id}/numbers/look', { params: { path: { id } }, body: order }))
  });

/** The moves that sort the tools of a storage. */
export const sortedQuery = (id: string, storage: string, by: LoadSort) =>
  queryOptions({
    queryKey: ['machine', id, 'sorted', storage, by],
    queryFn: () =>
      ask(
        api.POST('/api/v1/machines/{id}/load/sorted', {
          params: { path: { id } },
          body: { storage, by }
        })
      )
  });
