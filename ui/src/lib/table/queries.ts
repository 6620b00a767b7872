import { queryOptions } from '@tanstack/svelte-query';
import { api, ask } from '$lib/api/client';

/** Reads the control and compares; never again unasked, since somebody decides on what it says. */
export const reconciliationQuery = (machine: string) =>
  queryOptions({
    queryKey: ['reconciliation', machine, 'report'],
    queryFn: () =>
      ask(api.GET('/api/v1/machines/{id}/reconciliation', { params: { path: { id: machine } } })),
    staleTime: Infinity
  });

/** The last comparison; null where there was none. */
export const lastReconciliationQuery = (machine: string) =>
  queryOptions({
    queryKey: ['machine', machine, 'last reconciliation'],
    queryFn: async () =>
      (await ask(
        api.GET('/api/v1/machines/{id}/reconciliation', {
          params: { path: { id: machine }, query: { fresh: false, all: false } }
        })
      )) || null
  });

/** What became different at the control, the newest first. */
export const historyQuery = (machine: string) =>
  queryOptions({
    queryKey: ['machine', machine, 'table history'],
    queryFn: () =>
      ask(api.GET('/api/v1/machines/{id}/table/history', { params: { path: { id: machine } } }))
  });

/** What was sent to the control last. */
export const writesQuery = (machine: string) =>
  queryOptions({
    queryKey: ['reconciliation', machine, 'writes'],
    queryFn: () =>
      ask(api.GET('/api/v1/machines/{id}/table/writes', { params: { path: { id: machine } } }))
  });
