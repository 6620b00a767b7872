import { queryOptions } from '@tanstack/svelte-query';
import { ALL } from '$lib/api/cache';
import { api, ask } from '$lib/api/client';

/** @param machine those that run on it; of all machines where it is left out */
export const jobsQuery = (machine?: string) =>
  queryOptions({
    queryKey: ['job', ALL, machine],
    queryFn: () => ask(api.GET('/api/v1/jobs', { params: { query: { machine } } }))
  });

export const jobQuery = (id: number) =>
  queryOptions({
    queryKey: ['job', String(id)],
    queryFn: () => ask(api.GET('/api/v1/jobs/{id}', { params: { path: { id } } }))
  });
