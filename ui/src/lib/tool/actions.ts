import { act, perform } from '$lib/api/act';
import { ALL } from '$lib/api/cache';
import { api, ask, type ToolBody } from '$lib/api/client';

const concerns = (id: number) => [
  ['tool', String(id)],
  ['library', ALL]
];

/**
 * Saves a change that started from a version; throws where the same fields changed meanwhile.
 *
 * @param choice whose values stand where both changed a field, and the version they were seen in
 * @param incomplete true where a draft may lack what a tool of its class must have
 */
export const saveTool = (
  id: number,
  base: number,
  body: ToolBody,
  choice?: { keep: 'mine' | 'theirs'; seen: number },
  incomplete = false
) =>
  perform({
    ask: () =>
      ask(
        api.PUT('/api/v1/tools/{id}', {
          params: { path: { id }, query: { version: base, incomplete, ...choice } },
          body
        })
      ),
    message: (saved) => `Saved as version ${saved.version}`,
    concerns: concerns(id)
  });

export const backToVersion = (id: number, version: number) =>
  act({
    ask: () =>
      ask(api.POST('/api/v1/tools/{id}/back', { params: { path: { id }, query: { version } } })),
    message: `Version ${version} stands again`,
    concerns: concerns(id)
  });
