import { queryOptions } from '@tanstack/svelte-query';
import { ALL } from '$lib/api/cache';
import { api, ask } from '$lib/api/client';

/** The newest conversions; asked again while one of them runs. */
export const conversionsQuery = () =>
  queryOptions({
    queryKey: ['conversion', ALL],
    queryFn: () => ask(api.GET('/api/v1/conversions')),
    refetchInterval: (query) =>
      (query.state.data?.items ?? []).some(({ state }) => ['waiting', 'running'].includes(state))
        ? 1000
        : false
  });
