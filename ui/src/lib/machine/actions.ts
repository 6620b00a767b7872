import { act } from '$lib/api/act';
import { ALL } from '$lib/api/cache';
import { api, ask, Problem, type Machine, type PlannedLoad, type UseOrder } from '$lib/api/client';
import { despiteJobs } from '$lib/job/changes.svelte';
import { count } from '$lib/shell/text';
import type { Dragged } from './dragged';
import type { Measures } from './measures';
import type { Wanted } from './wanted';

type Planned = Dragged & { sizes?: Measures; another?: boolean; allow?: boolean };

/**
 * Plans a tool for a place, or saves what was measured of it there.
 *
 * @param words the place as people call it
 * @param onunreleased told where it is refused for how far the tool is trusted, and then nothing
 *   is said of it
 */
export const planTool = (
  machine: string,
  place: string,
  words: string,
  order: Planned,
  onunreleased?: (why: string) => void
) =>
  act({
    ask: async () => {
      try {
        return await despiteJobs((changeJobs) =>
          ask(
            api.PUT('/api/v1/machines/{id}/plan/{place}', {
              params: { path: { id: machine, place }, query: { changeJobs } },
              body: order
            })
          )
        );
      } catch (error) {
        if (!onunreleased || !isUnreleased(error)) throw error;
        onunreleased((error as Problem).message);
        return undefined;
      }
    },
    message: (done) =>
      !done ? '' : order.sizes ? `Saved the measures of ${words}` : `Planned for ${words}`,
    concerns: [['machine', machine]]
  });

/** Says where the control of a machine is; empty for none. */
export const linkControl = (machine: string, link: string) =>
  act({
    ask: () =>
      ask(
        api.PUT('/api/v1/machines/{id}/link', {
          params: { path: { id: machine } },
          body: { link }
        })
      ),
    message: () => (link ? 'Linked its control' : 'Its control is linked no more'),
    concerns: [
      ['machine', machine],
      ['reconciliation', machine]
    ]
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

/** Numbers the tools of places anew, in their order. */
export const renumber = (machine: string, places: string[], first: number) =>
  act({
    ask: () =>
      despiteJobs((changeJobs) =>
        ask(
          api.PUT('/api/v1/machines/{id}/numbers', {
            params: { path: { id: machine }, query: { changeJobs } },
            body: { places, first }
          })
        )
      ),
    message: `Renumbered ${count(places.length, 'tool')}`,
    concerns: [['machine', machine]]
  });

/** States which places a planned tool covers beside its own; null for what its diameter says. */
export const coverPlaces = (
  machine: string,
  tool: number,
  overlap: { plus: number; minus: number } | null
) =>
  act({
    ask: () =>
      ask(
        api.PUT('/api/v1/machines/{id}/overlaps/{toolId}', {
          params: { path: { id: machine, toolId: tool } },
          body: { overlap: overlap ?? undefined }
        })
      ),
    message: overlap ? 'Saved what it covers' : 'Covers what its diameter says',
    concerns: [['machine', machine]]
  });

export const clearPlace = (machine: string, place: string, words: string) =>
  act({
    ask: () =>
      despiteJobs((changeJobs) =>
        ask(
          api.DELETE('/api/v1/machines/{id}/plan/{place}', {
            params: { path: { id: machine, place }, query: { changeJobs } }
          })
        )
      ),
    message: `Took the tool of ${words} out of the plan`,
    concerns: [['machine', machine]]
  });

/** What a changed definition would come to. */
export const lookAtDefinition = (machine: string, base: Machine, wanted: Machine) =>
  ask(
    api.PUT('/api/v1/machines/{id}/definition', {
      params: { path: { id: machine }, query: { preview: true } },
      body: { base, wanted }
    })
  );

export const changeDefinition = (
  machine: string,
  base: Machine,
  wanted: Machine,
  letFall: boolean
) =>
  act({
    ask: () =>
      despiteJobs((changeJobs) =>
        ask(
          api.PUT('/api/v1/machines/{id}/definition', {
            params: { path: { id: machine }, query: { changeJobs } },
            body: { base, wanted, letFall }
          })
        )
      ),
    message: `Saved the definition of ${wanted.name}`,
    concerns: [
      ['machine', machine],
      ['machine', ALL]
    ]
  });

/** How a new machine would be. */
export const lookAtNewMachine = (machine: Machine) =>
  ask(api.POST('/api/v1/machines', { params: { query: { preview: true } }, body: { machine } }));

/** @param planOf whose load plan it begins with */
export const setUpMachine = (machine: Machine, planOf?: string) =>
  act({
    ask: () => ask(api.POST('/api/v1/machines', { body: { machine, planOf } })),
    message: `Set up ${machine.name}`,
    concerns: [['machine', ALL]]
  });

export const retireMachine = (machine: string) =>
  act({
    ask: () =>
      despiteJobs((changeJobs) =>
        ask(
          api.DELETE('/api/v1/machines/{id}', {
            params: { path: { id: machine }, query: { changeJobs } }
          })
        )
      ),
    message: 'Retired the machine',
    concerns: [['machine', ALL]]
  });

/**
 * @param keep tools that stay where they are planned
 * @param how whether fewer moves are waited for, and whether tools may be in that are not released
 */
export const planLoad = (
  machine: string,
  wanted: Wanted[],
  keep: number[],
  how: { longer: boolean; allow: boolean }
) =>
  ask(
    api.POST('/api/v1/machines/{id}/load/plan', {
      params: { path: { id: machine } },
      body: {
        wanted: wanted.map(({ toolId, libraryId, number }) => ({ toolId, libraryId, number })),
        keep,
        ...how
      }
    })
  );

export const stopPlanning = (machine: string) =>
  ask(api.DELETE('/api/v1/machines/{id}/load/plan', { params: { path: { id: machine } } }));

/** Has the plan of a machine be the load that was found. */
/** @param allow whether the lead lets tools in that are not released */
export const takeLoad = (machine: string, { placement, stamp }: PlannedLoad, allow: boolean) =>
  act({
    ask: () =>
      despiteJobs((changeJobs) =>
        ask(
          api.PUT('/api/v1/machines/{id}/load', {
            params: { path: { id: machine }, query: { changeJobs } },
            body: {
              placement: placement.map(({ place, toolId, libraryId }) => ({
                place,
                toolId,
                libraryId
              })),
              stamp,
              allow
            }
          })
        )
      ),
    message: 'Planned the load',
    concerns: [['machine', machine]]
  });

/** Has a planned tool be used so in its place. */
export const chooseUse = (machine: string, place: string, order: UseOrder) =>
  act({
    ask: () =>
      despiteJobs((changeJobs) =>
        ask(
          api.PUT('/api/v1/machines/{id}/plan/{place}/use', {
            params: { path: { id: machine, place }, query: { changeJobs } },
            body: order
          })
        )
      ),
    message: 'Saved how it is used',
    concerns: [['machine', machine]]
  });

/** Has a planned tool be used as it usually is. */
export const resetUse = (machine: string, place: string) =>
  act({
    ask: () =>
      despiteJobs((changeJobs) =>
        ask(
          api.DELETE('/api/v1/machines/{id}/plan/{place}/use', {
            params: { path: { id: machine, place }, query: { changeJobs } }
          })
        )
      ),
    message: 'Used as usual',
    concerns: [['machine', machine]]
  });

/** Keeps a place for the tool that is planned there, or for none. */
export const keepPlace = (machine: string, place: string, words: string, kept: boolean) =>
  act({
    ask: () =>
      ask(
        api.PUT('/api/v1/machines/{id}/plan/{place}/kept', {
          params: { path: { id: machine, place } },
          body: { kept }
        })
      ),
    message: kept ? `Kept ${words} for its tool` : `${words} is for any tool again`,
    concerns: [['machine', machine]]
  });
