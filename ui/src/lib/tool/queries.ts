import { keepPreviousData, queryOptions } from '@tanstack/svelte-query';
import { ALL } from '$lib/api/cache';
import { api, ask, type ClassOrder, type ToolBody } from '$lib/api/client';

export const classesQuery = () =>
  queryOptions({
    queryKey: ['class', ALL],
    queryFn: () => ask(api.GET('/api/v1/classes')),
    staleTime: Infinity
  });

/** What the symbols of properties mean. */
export const propertiesQuery = () =>
  queryOptions({
    queryKey: ['property', ALL],
    queryFn: () => ask(api.GET('/api/v1/properties')),
    select: ({ items }) => items,
    staleTime: Infinity
  });

export const sheetQuery = (id: number) =>
  queryOptions({
    queryKey: ['tool', String(id), 'sheet'],
    queryFn: () => readSheet(id)
  });

/** The sheet as it is on the server now. */
export const readSheet = (id: number) =>
  ask(api.GET('/api/v1/tools/{id}', { params: { path: { id } } }));

/** A draft of the same tool one usual diameter larger. */
export const nextSize = (id: number) =>
  ask(api.GET('/api/v1/tools/{id}/next-size', { params: { path: { id } } }));

/** What the rules say of a draft; nothing is saved. */
export const checkDraft = (body: ToolBody) => ask(api.POST('/api/v1/tools/check', { body }));

/** What becomes of a draft in another class; nothing is saved. */
export const changeClass = (body: ClassOrder) =>
  ask(api.POST('/api/v1/tools/class-change', { body }));

/** How a profile of lines and arcs is read. */
export const profileQuery = (text: string) =>
  queryOptions({
    queryKey: ['explain', 'profile', text],
    queryFn: () => ask(api.GET('/api/v1/explain/profile', { params: { query: { text } } })),
    placeholderData: keepPreviousData
  });

/** What is not the same in two versions of a tool. */
export const comparedVersionsQuery = (id: number, from: number, to: number) =>
  queryOptions({
    queryKey: ['tool', String(id), 'versions', from, to],
    queryFn: () =>
      ask(
        api.GET('/api/v1/tools/{id}/versions/compare', {
          params: { path: { id }, query: { from, to } }
        })
      )
  });
