import { keepPreviousData, queryOptions } from '@tanstack/svelte-query';
import { api, ask, type MountedAsk } from '$lib/api/client';

/** A turning tool as it is mounted on a turret. */
export const mountedQuery = (toolId: number, version: number, mounting: MountedAsk) =>
  queryOptions({
    queryKey: ['tool', String(toolId), 'mounted', version, mounting],
    queryFn: () =>
      ask(
        api.GET('/api/v1/tools/{id}/mounted', { params: { path: { id: toolId }, query: mounting } })
      ),
    placeholderData: keepPreviousData
  });
