import { act } from '$lib/api/act';
import { ALL } from '$lib/api/cache';
import { api, ask, type ToolBody, type ToolRow } from '$lib/api/client';

const concerns = (library: number) => [
  ['library', String(library)],
  ['library', ALL]
];

export const openLibrary = (name: string) =>
  act({
    ask: () => ask(api.POST('/api/v1/libraries', { body: { name } })),
    concerns: [['library', ALL]]
  });

export const copyTool = (library: number, row: ToolRow) =>
  act({
    ask: () =>
      ask(
        api.POST('/api/v1/libraries/{id}/tools/{toolId}/copy', {
          params: { path: { id: library, toolId: row.toolId } }
        })
      ),
    message: `Copied ${row.code}`,
    concerns: concerns(library)
  });

export const removeTool = (library: number, row: ToolRow) =>
  act({
    ask: () =>
      ask(
        api.DELETE('/api/v1/libraries/{id}/tools/{toolId}', {
          params: { path: { id: library, toolId: row.toolId } }
        })
      ),
    message: `Removed ${row.code}`,
    concerns: [...concerns(library), ['tool', String(row.toolId)]]
  });

/** A new tool, at once in a holder where one is chosen. */
export const createTool = (
  library: number,
  tool: ToolBody,
  held: { holder: number; overhang?: number } | null,
  undone: () => void
) =>
  act<{ toolId: number; undo: number }>({
    ask: () =>
      held
        ? ask(
            api.POST('/api/v1/libraries/{id}/held-tools', {
              params: { path: { id: library } },
              body: { tool, stack: { components: [held.holder], overhang: held.overhang } }
            })
          )
        : ask(
            api.POST('/api/v1/libraries/{id}/tools', {
              params: { path: { id: library } },
              body: tool
            })
          ),
    message: `Created ${tool.code}`,
    concerns: concerns(library),
    undone
  });

/** Has a library written as a file, read back, and both kept. */
export const writeFile = (library: number, format: string, unit: string) =>
  act({
    ask: () =>
      ask(
        api.POST('/api/v1/libraries/{id}/files', {
          params: { path: { id: library }, query: { format, unit: unit || undefined } }
        })
      ),
    concerns: [['file', String(library)]]
  });

export const stopWriting = (library: number, file: number) =>
  act({
    ask: () => ask(api.POST('/api/v1/files/{id}/stop', { params: { path: { id: file } } })),
    concerns: [['file', String(library)]]
  });
