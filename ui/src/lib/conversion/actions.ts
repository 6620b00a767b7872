import { act } from '$lib/api/act';
import { ALL } from '$lib/api/cache';
import { api, ask, send } from '$lib/api/client';

const concerns = [['conversion', ALL]];

/** Sends files to be converted. */
export const convertFiles = (
  files: File[],
  format: string,
  unit: string,
  progress: (share: number) => void
) =>
  act({
    ask: () =>
      send(`/api/v1/conversions/queue?to=${format}${unit ? `&unit=${unit}` : ''}`, files, progress),
    concerns
  });

export const stopConversion = (id: number) =>
  act({
    ask: () => ask(api.POST('/api/v1/conversions/{id}/stop', { params: { path: { id } } })),
    concerns
  });

export const removeConversion = (id: number) =>
  act({
    ask: () => ask(api.DELETE('/api/v1/conversions/{id}', { params: { path: { id } } })),
    concerns
  });
