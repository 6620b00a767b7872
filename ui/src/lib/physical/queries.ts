import { queryOptions } from '@tanstack/svelte-query';
import { ALL } from '$lib/api/cache';
import { api, ask } from '$lib/api/client';

/** @param machine for which they are, or that has them; any where it is left out */
export const piecesQuery = (machine?: string) =>
  queryOptions({
    queryKey: ['physical', ALL, machine],
    queryFn: () =>
      ask(api.GET('/api/v1/physical-tools', { params: { query: { machine, limit: 500 } } }))
  });

export const pieceQuery = (id: number) =>
  queryOptions({
    queryKey: ['physical', String(id)],
    queryFn: () => ask(api.GET('/api/v1/physical-tools/{id}', { params: { path: { id } } }))
  });

export const partsQuery = (id: number) =>
  queryOptions({
    queryKey: ['physical', String(id), 'parts'],
    queryFn: () => ask(api.GET('/api/v1/physical-tools/{id}/parts', { params: { path: { id } } }))
  });

export const measurementsQuery = (id: number) =>
  queryOptions({
    queryKey: ['physical', String(id), 'measurements'],
    queryFn: () =>
      ask(api.GET('/api/v1/physical-tools/{id}/measurements', { params: { path: { id } } }))
  });
