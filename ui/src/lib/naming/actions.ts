import { act } from '$lib/api/act';
import { api, ask, type NamingPatterns, type ToolBody } from '$lib/api/client';
import { count } from '$lib/shell/text';

const concerns = (library: number) => [['library', String(library)], ['tool']];

export const savePatterns = (library: number, body: NamingPatterns) =>
  act({
    ask: () =>
      ask(api.PUT('/api/v1/libraries/{id}/naming', { params: { path: { id: library } }, body })),
    message: 'Saved the patterns',
    concerns: concerns(library)
  });

/** Renames tools to what somebody saw they would become. */
export const renameTools = (
  library: number,
  tools: { toolId: number; code: string; name: string }[]
) =>
  act({
    ask: () =>
      ask(
        api.POST('/api/v1/libraries/{id}/naming/rename', {
          params: { path: { id: library } },
          body: { tools }
        })
      ),
    message: `Renamed ${count(tools.length, 'tool')}`,
    concerns: concerns(library)
  });

/** Takes the next code of the library's pattern, which nobody else then gets. */
export const reserveCode = (library: number, body: ToolBody) =>
  act({
    ask: () =>
      ask(
        api.POST('/api/v1/libraries/{id}/codes', {
          params: { path: { id: library } },
          body: { ...body, code: '' }
        })
      ),
    message: (reserved) => `${reserved.code} is yours for half an hour`,
    concerns: []
  });
