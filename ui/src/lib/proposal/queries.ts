import { queryOptions } from '@tanstack/svelte-query';
import { ALL, cache } from '$lib/api/cache';
import { api, ask } from '$lib/api/client';

/** Proposals of the libraries that one sees, open ones first. */
export const proposalsQuery = () =>
  queryOptions({
    queryKey: ['proposal', ALL],
    queryFn: () => ask(api.GET('/api/v1/proposals'))
  });

export const proposalQuery = (id: number) =>
  queryOptions({
    queryKey: ['proposal', String(id)],
    queryFn: () => ask(api.GET('/api/v1/proposals/{id}', { params: { path: { id } } }))
  });

/** As it stands now. */
export const readProposal = (id: number) => cache.fetchQuery(proposalQuery(id));
