import { queryOptions } from '@tanstack/svelte-query';
import { ALL } from '$lib/api/cache';
import { api, ask } from '$lib/api/client';

/** All accounts, for whoever leads the shop. */
export const accountsQuery = () =>
  queryOptions({
    queryKey: ['account', ALL],
    queryFn: () => ask(api.GET('/api/v1/accounts'))
  });

/** The keys of an account. */
export const keysOfQuery = (id: number) =>
  queryOptions({
    queryKey: ['account', String(id), 'keys'],
    queryFn: () => ask(api.GET('/api/v1/accounts/{id}/keys', { params: { path: { id } } }))
  });

/** Keys of whoever is signed in. */
export const ownKeysQuery = () =>
  queryOptions({
    queryKey: ['account', 'own', 'keys'],
    queryFn: () => ask(api.GET('/api/v1/session/keys'))
  });
