import { queryOptions } from '@tanstack/svelte-query';
import { ALL } from '$lib/api/cache';
import { api, ask, type CutBody } from '$lib/api/client';

export const materialsQuery = () =>
  queryOptions({
    queryKey: ['material', ALL],
    queryFn: () => ask(api.GET('/api/v1/materials')),
    staleTime: Infinity
  });

/** The cutting data that a tool has. */
export const cuttingLinesQuery = (toolId: number) =>
  queryOptions({
    queryKey: ['tool', String(toolId), 'cutting'],
    queryFn: () => ask(api.GET('/api/v1/tools/{id}/cutting', { params: { path: { id: toolId } } }))
  });

/** Where to begin with a tool in a material. */
export const startingValues = (toolId: number, material: string) =>
  ask(
    api.GET('/api/v1/tools/{id}/cutting/start', {
      params: { path: { id: toolId }, query: { material } }
    })
  );

/** What follows from a cut. */
export const computeCut = (toolId: number, body: CutBody) =>
  ask(api.POST('/api/v1/tools/{id}/cutting/compute', { params: { path: { id: toolId } }, body }));
