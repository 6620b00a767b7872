import { act, perform } from '$lib/api/act';
import { api, ask, type OutletBody } from '$lib/api/client';

const concerns = [['library']];

/** Opens an outlet; it is written within seconds. */
export const openOutlet = (body: OutletBody) =>
  perform({
    ask: () => ask(api.POST('/api/v1/outlets', { body })),
    message: ({ outlet }) => `Opened: ${outlet.name} is written within seconds`,
    concerns
  });

export const writeAgain = (id: number, name: string) =>
  act({
    ask: () => ask(api.POST('/api/v1/outlets/{id}/write', { params: { path: { id } } })),
    message: `${name} is written within seconds`,
    concerns
  });

/** The former address stops. */
export const newAddress = (id: number) =>
  act({
    ask: () => ask(api.POST('/api/v1/outlets/{id}/address', { params: { path: { id } } })),
    message: 'The former address stopped',
    concerns
  });

export const closeOutlet = (id: number, name: string) =>
  act({
    ask: () => ask(api.DELETE('/api/v1/outlets/{id}', { params: { path: { id } } })),
    message: `Closed ${name}; the file itself stays`,
    concerns
  });
