import { keepPreviousData, queryOptions } from '@tanstack/svelte-query';
import { api, ask, type UpdateAnswer } from '$lib/api/client';

/** Which library another one is derived from. */
export const baseQuery = (library: number) =>
  queryOptions({
    queryKey: ['library', String(library), 'base'],
    queryFn: () =>
      ask(api.GET('/api/v1/libraries/{id}/base', { params: { path: { id: library } } }))
  });

/** All that is not as in the base. */
export const differencesQuery = (library: number) =>
  queryOptions({
    queryKey: ['library', String(library), 'base', 'differences'],
    queryFn: () =>
      ask(api.GET('/api/v1/libraries/{id}/base/differences', { params: { path: { id: library } } }))
  });

/** What is not as in the base, of some tools. */
export const marksQuery = (library: number, tools: number[]) =>
  queryOptions({
    queryKey: ['library', String(library), 'base', 'marks', tools],
    queryFn: () =>
      ask(
        api.GET('/api/v1/libraries/{id}/base/marks', {
          params: { path: { id: library }, query: { tools } }
        })
      ),
    placeholderData: keepPreviousData
  });

/** What a newer edition of the base would change, with some questions answered. */
export const updateQuery = (library: number, answers: UpdateAnswer[]) =>
  queryOptions({
    queryKey: ['library', String(library), 'base', 'update', answers],
    queryFn: async () =>
      answers.length === 0
        ? ask(api.GET('/api/v1/libraries/{id}/base-update', { params: { path: { id: library } } }))
        : (
            await ask(
              api.POST('/api/v1/libraries/{id}/base-update', {
                params: { path: { id: library }, query: { preview: true } },
                body: { answers }
              })
            )
          ).view!,
    placeholderData: keepPreviousData
  });
