import { act, perform } from '$lib/api/act';
import { ALL } from '$lib/api/cache';
import { api, ask, type UpdateBody } from '$lib/api/client';
import { count } from '$lib/shell/text';

const concerns = (library: number) => [['library', String(library)], ['library', ALL], ['tool']];

/** Makes a library of the newest edition of another one. */
export const derive = (base: number, name: string, ending: string) =>
  perform({
    ask: () =>
      ask(
        api.POST('/api/v1/libraries/{id}/derive', {
          params: { path: { id: base } },
          body: { name, ending }
        })
      ),
    message: ({ tools, edition }) =>
      `Derived ${count(tools, 'tool')} from edition ${edition.number}`,
    concerns: concerns(base)
  });

/** Takes a newer edition of the base in. */
export const takeUpdate = (library: number, body: UpdateBody) =>
  perform({
    ask: async () => {
      const { taken } = await ask(
        api.POST('/api/v1/libraries/{id}/base-update', { params: { path: { id: library } }, body })
      );
      return taken!;
    },
    message: ({ added, changed, removed }) =>
      `Taken in: ${count(added, 'tool')} came, ${changed} changed, ${removed} went`,
    concerns: concerns(library)
  });

/** The library stays as it is and takes nothing of its base in any more. */
export const letGo = (library: number) =>
  act({
    ask: () =>
      ask(api.DELETE('/api/v1/libraries/{id}/base', { params: { path: { id: library } } })),
    message: 'A library of its own from now on',
    concerns: concerns(library)
  });
