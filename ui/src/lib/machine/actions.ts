import { act } from '$lib/api/act';
import { api, ask } from '$lib/api/client';
import type { Dragged } from './dragged';
import type { Measures } from './measures';

/** Plans a tool for a place, or saves what was measured of it there. */
export const planTool = (machine: string, place: string, order: Dragged & Partial<Measures>) =>
  act({
    ask: () =>
      ask(
        api.PUT('/api/v1/machines/{id}/plan/{place}', {
          params: { path: { id: machine, place } },
          body: order
        })
      ),
    message:
      'length' in order || 'diameter' in order
        ? `Saved the measures of pocket ${place}`
        : `Planned for pocket ${place}`,
    concerns: [['machine', machine]]
  });

export const clearPlace = (machine: string, place: string) =>
  act({
    ask: () =>
      ask(
        api.DELETE('/api/v1/machines/{id}/plan/{place}', {
          params: { path: { id: machine, place } }
        })
      ),
    message: `Took the tool of pocket ${place} out of the plan`,
    concerns: [['machine', machine]]
  });
