import { queryOptions } from '@tanstack/svelte-query';
import { ALL } from '$lib/api/cache';
import { api, ask, type CutBody, type FactorBody } from '$lib/api/client';

/** The material that is meant until somebody chooses one. */
export const FIRST_MATERIAL = 'p-alloy-annealed';

export const materialsQuery = () =>
  queryOptions({
    queryKey: ['material', ALL],
    queryFn: () => ask(api.GET('/api/v1/materials')),
    staleTime: Infinity
  });

/** What a factor would do to the cutting data of many tools. */
export const factorPreviewQuery = (order: FactorBody) =>
  queryOptions({
    queryKey: ['tool', ALL, 'factor', order],
    queryFn: () =>
      ask(api.POST('/api/v1/cutting/bulk', { params: { query: { preview: true } }, body: order })),
    staleTime: 0
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
