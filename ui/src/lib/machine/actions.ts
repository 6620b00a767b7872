import { act } from '$lib/api/act';
import { api, ask, Problem } from '$lib/api/client';
import type { Dragged } from './dragged';
import type { Measures } from './measures';

type Planned = Dragged & Partial<Measures> & { allow?: boolean };

/**
 * Plans a tool for a place, or saves what was measured of it there.
 *
 * @param onunreleased told where it is refused for how far the tool is trusted, and then nothing
 *   is said of it
 */
export const planTool = (
  machine: string,
  place: string,
  order: Planned,
  onunreleased?: (why: string) => void
) =>
  act({
    ask: async () => {
      try {
        return await ask(
          api.PUT('/api/v1/machines/{id}/plan/{place}', {
            params: { path: { id: machine, place } },
            body: order
          })
        );
      } catch (error) {
        if (!onunreleased || !isUnreleased(error)) throw error;
        onunreleased((error as Problem).message);
        return undefined;
      }
    },
    message: (done) =>
      !done
        ? ''
        : 'length' in order || 'diameter' in order
          ? `Saved the measures of pocket ${place}`
          : `Planned for pocket ${place}`,
    concerns: [['machine', machine]]
  });

/** True where the lead may allow what was refused. */
export const isUnreleased = (error: unknown): boolean =>
  error instanceof Problem &&
  typeof error.details === 'object' &&
  error.details !== null &&
  'standing' in error.details;

/** From which library tools for a machine are picked first, and as which edition it stands there. */
export const chooseLibrary = (machine: string, library: number | null, edition: number | null) =>
  act({
    ask: () =>
      ask(
        api.PUT('/api/v1/machines/{id}/library', {
          params: { path: { id: machine } },
          body: { library: library ?? undefined, edition: edition ?? undefined }
        })
      ),
    message: library === null ? 'No library is picked from first' : 'Picked from first from now on',
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
