import { act, perform } from '$lib/api/act';
import { ALL } from '$lib/api/cache';
import { api, ask, type EditionHead } from '$lib/api/client';

/** Publishes a library as it stands. */
export const publish = (library: number, words: string) =>
  perform({
    ask: () =>
      ask(
        api.POST('/api/v1/libraries/{id}/editions', {
          params: { path: { id: library } },
          body: { words }
        })
      ),
    message: ({ number, tools }) =>
      `Published edition ${number} with ${tools.toLocaleString('en')} tools`,
    concerns: [
      ['library', String(library)],
      ['library', ALL]
    ]
  });

/** Has the library hold again what an edition has; cutting data and stacks stay as they are. */
export const backToEdition = (edition: EditionHead) =>
  act({
    ask: () =>
      ask(api.POST('/api/v1/editions/{id}/back', { params: { path: { id: edition.id } } })),
    message: ({ number, tools }) =>
      `Back to edition ${number}: ${tools.toLocaleString('en')} tools with their versions and numbers`,
    concerns: [
      ['library', String(edition.libraryId)],
      ['library', ALL]
    ]
  });
