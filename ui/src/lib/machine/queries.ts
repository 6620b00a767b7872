import { queryOptions } from '@tanstack/svelte-query';
import { ALL } from '$lib/api/cache';
import { api, ask } from '$lib/api/client';

export const machinesQuery = () =>
  queryOptions({
    queryKey: ['machine', ALL],
    queryFn: () => ask(api.GET('/api/v1/machines'))
  });

export const machineQuery = (id: string) =>
  queryOptions({
    queryKey: ['machine', id, 'plan'],
    queryFn: () => ask(api.GET('/api/v1/machines/{id}', { params: { path: { id } } }))
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
