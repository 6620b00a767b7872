import { queryOptions } from '@tanstack/svelte-query';
import { ALL } from '$lib/api/cache';
import { api, ask, type UseOrder } from '$lib/api/client';

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

export const machineQuery = (id: string) =>
  queryOptions({
    queryKey: ['machine', id, 'plan'],
    queryFn: () => ask(api.GET('/api/v1/machines/{id}', { params: { path: { id } } }))
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

/** Why a tool cannot go into which places. */
export const refusalsQuery = (id: string, toolId: number, libraryId?: number) =>
  queryOptions({
    queryKey: ['machine', id, 'refusals', toolId, libraryId],
    queryFn: () =>
      ask(
        api.GET('/api/v1/machines/{id}/plan/refusals', {
          params: { path: { id }, query: { toolId, libraryId } }
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
