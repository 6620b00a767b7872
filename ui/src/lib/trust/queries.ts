import { queryOptions } from '@tanstack/svelte-query';
import { api, ask } from '$lib/api/client';

/** Why a tool can be trusted. */
export const trustQuery = (id: number) =>
  queryOptions({
    queryKey: ['tool', String(id), 'trust'],
    queryFn: () => ask(api.GET('/api/v1/tools/{id}/trust', { params: { path: { id } } }))
  });
