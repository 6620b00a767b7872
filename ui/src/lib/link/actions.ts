import { act } from '$lib/api/act';
import { ALL } from '$lib/api/cache';
import { api, ask, type Link, type LinkKind } from '$lib/api/client';
import { count } from '$lib/shell/text';

/** Has links lead elsewhere, all of them or none. */
export const setAnew = (links: Link[], kind: LinkKind, id: string) =>
  act({
    ask: () =>
      ask(
        api.POST('/api/v1/links/anew', {
          body: {
            links: links.map(({ from, to }) => ({
              fromKind: from.kind,
              from: from.id,
              toKind: to.kind,
              to: to.id
            })),
            kind,
            id
          }
        })
      ),
    message: ({ set }) => `Set ${count(set, 'link')} anew`,
    concerns: [['link', ALL], ['machine'], ['post'], ['library'], ['tool']]
  });
