import { queryOptions } from '@tanstack/svelte-query';
import { api, ask } from '$lib/api/client';

/** What the shop has decided. */
export const rulesQuery = () =>
  queryOptions({
    queryKey: ['shop', '1', 'rules'],
    queryFn: () => ask(api.GET('/api/v1/shop/rules'))
  });
