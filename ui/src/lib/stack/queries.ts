import { keepPreviousData, queryOptions } from '@tanstack/svelte-query';
import { ALL } from '$lib/api/cache';
import { api, ask, type Component, type StackBody, type ToolBody } from '$lib/api/client';

export const componentsQuery = () =>
  queryOptions({
    queryKey: ['component', ALL],
    queryFn: () => ask(api.GET('/api/v1/components'))
  });

export const componentQuery = (id: number) =>
  queryOptions({
    queryKey: ['component', String(id), 'definition'],
    queryFn: () => ask(api.GET('/api/v1/components/{id}', { params: { path: { id } } }))
  });

/** Stacks that a component is part of. */
export const componentStacksQuery = (id: number) =>
  queryOptions({
    queryKey: ['component', String(id), 'stacks'],
    queryFn: () => ask(api.GET('/api/v1/components/{id}/stacks', { params: { path: { id } } }))
  });

/** What a part or a stack was, the newest first. */
export const formerPartsQuery = (owner: 'components' | 'stacks', id: number) =>
  queryOptions({
    queryKey: [owner === 'components' ? 'component' : 'tool', String(id), owner, 'versions'],
    queryFn: () =>
      owner === 'components'
        ? ask(api.GET('/api/v1/components/{id}/versions', { params: { path: { id } } }))
        : ask(api.GET('/api/v1/stacks/{id}/versions', { params: { path: { id } } })),
    staleTime: 0
  });

/** Connections that stacks can end in on the machine's side. */
export const seatsQuery = () =>
  queryOptions({
    queryKey: ['component', ALL, 'seats'],
    queryFn: () => ask(api.GET('/api/v1/components/seats'))
  });

/** The stacks of a tool, newest first. */
export const stacksQuery = (toolId: number) =>
  queryOptions({
    queryKey: ['tool', String(toolId), 'stacks'],
    queryFn: () => ask(api.GET('/api/v1/tools/{id}/stacks', { params: { path: { id: toolId } } }))
  });

/** What could hold a tool that is not saved yet. */
export const draftOffersQuery = (body: ToolBody, shank: unknown[]) =>
  queryOptions({
    queryKey: ['component', ALL, 'offers', body.classId, ...shank],
    queryFn: () => ask(api.POST('/api/v1/stacks/offers', { body })),
    placeholderData: keepPreviousData
  });

/** What follows from a stack; nothing is saved. */
export const checkStack = (toolId: number, body: StackBody) =>
  ask(api.POST('/api/v1/tools/{id}/stacks/check', { params: { path: { id: toolId } }, body }));

/** What could come next in a stack. */
export const stackOffers = (toolId: number, socket: string | undefined) =>
  ask(
    api.GET('/api/v1/tools/{id}/stacks/offers', {
      params: { path: { id: toolId }, query: { socket } }
    })
  );

/** Whether a component of a kind with such a machine side may hold its tool at an angle. */
export const turnChoiceQuery = (kind: Component['kind'], machineSide: string) =>
  queryOptions({
    queryKey: ['turn choice', kind, machineSide],
    queryFn: () =>
      ask(api.GET('/api/v1/components/turn-choice', { params: { query: { kind, machineSide } } }))
  });
