import { keepPreviousData, queryOptions } from '@tanstack/svelte-query';
import { ALL } from '$lib/api/cache';
import { api, ask, type ReadingChoice } from '$lib/api/client';

export const recipesQuery = () =>
  queryOptions({
    queryKey: ['recipe', ALL],
    queryFn: () => ask(api.GET('/api/v1/recipes'))
  });

/** The first tools of a file as they would be read. */
export const previewQuery = (delivery: number, file: number, body: ReadingChoice) =>
  queryOptions({
    queryKey: ['delivery', String(delivery), 'preview', file, body],
    queryFn: () =>
      ask(
        api.POST('/api/v1/deliveries/{id}/preview', {
          params: { path: { id: delivery }, query: { file } },
          body
        })
      ),
    placeholderData: keepPreviousData,
    retry: false
  });
