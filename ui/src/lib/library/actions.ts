import { act, perform } from '$lib/api/act';
import { ALL } from '$lib/api/cache';
import {
  api,
  ask,
  type BulkBody,
  type CopyBody,
  type LibraryChange,
  type RightsBody,
  type Sharing,
  type SectionView,
  type ToolBody,
  type ToolRow
} from '$lib/api/client';
import { who } from '$lib/shell/session.svelte';
import { count } from '$lib/shell/text';

const concerns = (library: number) => [
  ['library', String(library)],
  ['library', ALL]
];

const LISTS = [['library', ALL]];

export const makeLibrary = (body: LibraryChange, sharing: Sharing) =>
  perform({
    ask: () => ask(api.POST('/api/v1/libraries', { params: { query: { sharing } }, body })),
    concerns: LISTS
  });

/** Says who may do what in a library. */
export const shareLibrary = (id: number, body: RightsBody) =>
  perform({
    ask: () => ask(api.PUT('/api/v1/libraries/{id}/rights', { params: { path: { id } }, body })),
    message: 'Saved',
    concerns: concerns(id)
  });

/** The library that is proposed first to whoever is signed in. */
export const chooseDefaultLibrary = (library: number | null) =>
  act({
    ask: async () => {
      await ask(api.PUT('/api/v1/session/library', { body: { library: library ?? undefined } }));
      who.current.defaultLibrary = library ?? undefined;
    },
    message: 'Proposed first from now on',
    concerns: []
  });

/** Has a library hold what stands in another one, or in a section of it, from now on. */
export const includeLibrary = (id: number, from: number, section: number | null) =>
  perform({
    ask: () =>
      ask(
        api.POST('/api/v1/libraries/{id}/includes', {
          params: { path: { id } },
          body: { from, section: section ?? undefined }
        })
      ),
    message: ({ include }) => `Included ${include.name}: ${count(include.tools, 'tool')}`,
    concerns: concerns(id)
  });

export const endInclude = (id: number, include: number, name: string) =>
  act({
    ask: () =>
      ask(
        api.DELETE('/api/v1/libraries/{id}/includes/{include}', {
          params: { path: { id, include } }
        })
      ),
    message: `${name} is no longer included`,
    concerns: concerns(id)
  });

export const changeLibrary = (id: number, body: LibraryChange, message: string) =>
  perform({
    ask: () => ask(api.PATCH('/api/v1/libraries/{id}', { params: { path: { id } }, body })),
    message,
    concerns: concerns(id)
  });

export const deleteLibrary = (id: number, name: string) =>
  act({
    ask: () => ask(api.DELETE('/api/v1/libraries/{id}', { params: { path: { id } } })),
    message: `Deleted ${name}; its tools stay in the shop`,
    concerns: LISTS
  });

export const duplicateLibrary = (id: number, name: string) =>
  perform({
    ask: () =>
      ask(
        api.POST('/api/v1/libraries/{id}/duplicate', { params: { path: { id } }, body: { name } })
      ),
    message: `Copied as ${name}`,
    concerns: LISTS
  });

/** Moves all tools of other libraries into one and deletes those. */
export const mergeLibraries = (id: number, name: string, from: number[]) =>
  perform({
    ask: () =>
      ask(
        api.POST('/api/v1/libraries/{id}/merge', {
          params: { path: { id } },
          body: { from, numbering: 'keep' }
        })
      ),
    message: ({ entering, here, renumbered }) =>
      `${count(entering, 'tool')} came into ${name}` +
      (renumbered > 0 ? `, ${renumbered} under other numbers` : '') +
      (here > 0 ? `; ${here} stood there already` : ''),
    concerns: LISTS
  });

/** Copies or moves tools into a library. */
export const copyInto = (id: number, name: string, body: CopyBody) =>
  act({
    ask: () => ask(api.POST('/api/v1/libraries/{id}/copy', { params: { path: { id } }, body })),
    message: ({ entering, here, refused }) =>
      `${body.move ? 'Moved' : 'Copied'} ${count(entering, 'tool')} into ${name}` +
      (here + refused > 0 ? `; ${here + refused} stayed out` : ''),
    concerns: [...LISTS, ...(body.picks ?? []).map((pick) => ['library', String(pick?.from)])]
  });

export const takeOut = (library: number, rows: ToolRow[]) =>
  act({
    ask: () =>
      ask(
        api.POST('/api/v1/libraries/{id}/tools/out', {
          params: { path: { id: library } },
          body: { tools: rows.map(({ toolId }) => toolId) }
        })
      ),
    message: `Removed ${rows.length === 1 ? rows[0].code : count(rows.length, 'tool')}`,
    concerns: [
      ...concerns(library),
      ...(rows.length === 1 ? [['tool', String(rows[0].toolId)]] : [])
    ]
  });

/** Has tools follow their newest versions, or stay at those that the library holds. */
export const holdVersions = (library: number, rows: ToolRow[], follow: boolean) =>
  act({
    ask: () =>
      ask(
        api.PUT('/api/v1/libraries/{id}/versions', {
          params: { path: { id: library } },
          body: { tools: rows.map(({ toolId }) => toolId), follow }
        })
      ),
    message: `${rows.length === 1 ? rows[0].code : count(rows.length, 'tool')} ${
      follow
        ? `${rows.length === 1 ? 'follows' : 'follow'} the newest version`
        : `${rows.length === 1 ? 'stays' : 'stay'} at this version`
    }`,
    concerns: concerns(library)
  });

/** One change to many tools. */
export const changeAll = (body: BulkBody, library: number | null) =>
  act({
    ask: () => ask(api.POST('/api/v1/tools/bulk', { body })),
    message: ({ changed, refused }) =>
      `Changed ${count(changed, 'tool')}${refused > 0 ? `; ${refused} stayed as they are` : ''}`,
    concerns: [...LISTS, ...(library === null ? [] : concerns(library)), ['tool']]
  });

export const stopChanging = (work: string) =>
  act({
    ask: () => ask(api.POST('/api/v1/tools/bulk/{work}/stop', { params: { path: { work } } })),
    concerns: []
  });

/** Takes back all that was done to a library after a line of its history. */
export const libraryBack = (library: number, line: number, deeds: number) =>
  act({
    ask: () =>
      ask(
        api.POST('/api/v1/libraries/{id}/history/back', {
          params: { path: { id: library } },
          body: { line }
        })
      ),
    message: `Took back ${count(deeds, 'line')} of its history`,
    concerns: [['library'], ['delivery', ALL]]
  });

export const addSection = (library: number, name: string, parent: number | null) =>
  act({
    ask: () =>
      ask(
        api.POST('/api/v1/libraries/{id}/sections', {
          params: { path: { id: library } },
          body: { name, parent: parent ?? undefined }
        })
      ),
    concerns: concerns(library)
  });

export const changeSection = (
  library: number,
  section: number,
  body: { name?: string; parent?: number; before?: number }
) =>
  act({
    ask: () =>
      ask(
        api.PATCH('/api/v1/libraries/{id}/sections/{sectionId}', {
          params: { path: { id: library, sectionId: section } },
          body
        })
      ),
    concerns: concerns(library)
  });

export const deleteSection = (library: number, section: SectionView) =>
  act({
    ask: () =>
      ask(
        api.DELETE('/api/v1/libraries/{id}/sections/{sectionId}', {
          params: { path: { id: library, sectionId: section.id } }
        })
      ),
    message: `Deleted section ${section.name}; its tools stay in the library`,
    concerns: concerns(library)
  });

/** Puts tools into a section, or takes them out of it. */
export const fileTools = (library: number, section: SectionView, tools: number[], into: boolean) =>
  act({
    ask: () =>
      ask(
        api.POST(
          into
            ? '/api/v1/libraries/{id}/sections/{sectionId}/tools'
            : '/api/v1/libraries/{id}/sections/{sectionId}/tools/out',
          {
            params: { path: { id: library, sectionId: section.id } },
            body: { tools }
          }
        )
      ),
    message: `${count(tools.length, 'tool')} ${into ? 'put into' : 'taken out of'} ${section.name}`,
    concerns: concerns(library)
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

/**
 * A new tool, at once in a holder where one is chosen.
 *
 * @param incomplete true for a draft that may lack what a tool of its class must have
 */
export const createTool = (
  library: number,
  tool: ToolBody,
  held: { holder: number; overhang?: number } | null,
  incomplete: boolean,
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
              params: { path: { id: library }, query: { incomplete } },
              body: tool
            })
          ),
    message: incomplete ? `Kept ${tool.code} as an unfinished draft` : `Created ${tool.code}`,
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
