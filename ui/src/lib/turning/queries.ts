import { keepPreviousData, queryOptions } from '@tanstack/svelte-query';
import { api, ask, type SeatAsk } from '$lib/api/client';

/** A turning tool as it is mounted on a turret. */
export const seatViewQuery = (toolId: number, version: number, mounting: SeatAsk) =>
  queryOptions({
    queryKey: ['tool', String(toolId), 'seat', version, mounting],
    queryFn: () =>
      ask(
        api.GET('/api/v1/tools/{id}/seat', { params: { path: { id: toolId }, query: mounting } })
      ),
    placeholderData: keepPreviousData
  });
