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

/** How the control answers; null where it was never asked. */
export const watchQuery = (machine: string) =>
  queryOptions({
    queryKey: ['machine', machine, 'watch'],
    queryFn: async () =>
      (await ask(
        api.GET('/api/v1/machines/{id}/table/watch', { params: { path: { id: machine } } })
      )) || null
  });

/**
 * What became different at the control, the newest first.
 *
 * @param place without it, of all places
 */
export const historyQuery = (machine: string, place?: string) =>
  queryOptions({
    queryKey: ['machine', machine, 'table history', place ?? ''],
    queryFn: () =>
      ask(
        api.GET('/api/v1/machines/{id}/table/history', {
          params: { path: { id: machine }, query: { place } }
        })
      )
  });

/** All tools that the control knew when it was read; null where it never was. */
export const controlToolsQuery = (machine: string, read: number | undefined) =>
  queryOptions({
    queryKey: ['machine', machine, 'tools of the control', read],
    queryFn: async () =>
      (await ask(
        api.GET('/api/v1/machines/{id}/table/tools', { params: { path: { id: machine } } })
      )) || null,
    enabled: read !== undefined
  });

/** What is decided once for all about places of the machine. */
export const rulesQuery = (machine: string) =>
  queryOptions({
    queryKey: ['machine', machine, 'table rules'],
    queryFn: () =>
      ask(api.GET('/api/v1/machines/{id}/table/rules', { params: { path: { id: machine } } }))
  });

/** A tool of the control as it would be typed into a library. */
export const controlDraft = (machine: string, code: string, toolClass?: string) =>
  ask(
    api.GET('/api/v1/machines/{id}/table/draft', {
      params: { path: { id: machine }, query: { code, toolClass } }
    })
  );

/** What was sent to the control last. */
export const writesQuery = (machine: string) =>
  queryOptions({
    queryKey: ['reconciliation', machine, 'writes'],
    queryFn: () =>
      ask(api.GET('/api/v1/machines/{id}/table/writes', { params: { path: { id: machine } } }))
  });
