import { act } from '$lib/api/act';
import { api, ask } from '$lib/api/client';

/** Takes a deed back; it may have concerned anything. */
export const undo = (id: number) =>
  act({
    ask: () => ask(api.POST('/api/v1/trail/{id}/undo', { params: { path: { id } } })),
    message: 'Taken back',
    concerns: [[]]
  });
