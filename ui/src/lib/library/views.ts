import { queryOptions } from '@tanstack/svelte-query';
import { act, perform } from '$lib/api/act';
import { ALL } from '$lib/api/cache';
import { api, ask, type ListView, type ViewDefinition } from '$lib/api/client';

const CONCERNS = [['view', ALL]];

/** The views that somebody keeps, and those that others share. */
export const viewsQuery = () =>
  queryOptions({ queryKey: ['view', ALL], queryFn: () => ask(api.GET('/api/v1/views')) });

export const keepView = (name: string, shared: boolean, definition: ViewDefinition) =>
  perform({
    ask: () => ask(api.POST('/api/v1/views', { body: { name, shared, definition } })),
    message: `Kept the view ${name}`,
    concerns: CONCERNS
  });

export const changeView = (view: ListView, shared: boolean, definition: ViewDefinition) =>
  perform({
    ask: () =>
      ask(
        api.PUT('/api/v1/views/{id}', {
          params: { path: { id: view.id }, query: { version: view.version } },
          body: { name: view.name, shared, definition }
        })
      ),
    message: `Changed the view ${view.name}`,
    concerns: CONCERNS
  });

export const deleteView = (view: ListView) =>
  act({
    ask: () => ask(api.DELETE('/api/v1/views/{id}', { params: { path: { id: view.id } } })),
    message: `Deleted the view ${view.name}`,
    concerns: CONCERNS
  });
