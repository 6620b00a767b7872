import { act } from '$lib/api/act';
import { ALL } from '$lib/api/cache';
import {
  api,
  ask,
  bring,
  type Delivery,
  type FindingGroup,
  type ReadingChoice
} from '$lib/api/client';
import { capital, count } from '$lib/shell/text';
import { corrected, correct } from './corrections';

const concerns = (id: number) => [
  ['delivery', String(id)],
  ['delivery', ALL]
];

/** Sends files as one delivery. */
export const bringFiles = (files: File[], progress: (share: number) => void) =>
  act({ ask: () => bring(files, progress), concerns: [['delivery', ALL]] });

/** Asks the work on a delivery to stop. */
export const stopWork = (id: number) =>
  act({
    ask: () => ask(api.POST('/api/v1/deliveries/{id}/stop', { params: { path: { id } } })),
    concerns: []
  });

export const deleteDelivery = (id: number, name: string, undone: () => void) =>
  act({
    ask: () => ask(api.DELETE('/api/v1/deliveries/{id}', { params: { path: { id } } })),
    message: `Deleted ${name}`,
    concerns: [['delivery', ALL]],
    undone
  });

/** Reads one file again with other decisions. */
export const readAgain = (id: number, file: number, body: ReadingChoice) =>
  act({
    ask: async () => {
      await ask(
        api.PUT('/api/v1/deliveries/{id}/reading', {
          params: { path: { id }, query: { file } },
          body
        })
      );
      return true;
    },
    concerns: concerns(id)
  });

/** Replaces cells of lines, one line after the other. */
export const correctLines = (
  id: number,
  lines: { line: number; cells: Record<string, string> }[]
) =>
  correct(id, {
    ask: async () => {
      for (const { line, cells } of lines) {
        await ask(
          api.PATCH('/api/v1/deliveries/{id}/lines/{lineId}', {
            params: { path: { id, lineId: line } },
            body: { cells }
          })
        );
      }
      return true;
    },
    concerns: concerns(id)
  });

/** Says what a line is, with cells that change with it. */
export const nameLine = (
  id: number,
  line: number,
  kind: string | undefined,
  cells: Record<string, string>
) =>
  correct(id, {
    ask: () =>
      ask(
        api.PATCH('/api/v1/deliveries/{id}/lines/{lineId}', {
          params: { path: { id, lineId: line } },
          body: { cells, kind }
        })
      ),
    concerns: concerns(id)
  });

/** Says of lines that somebody looked at them. */
export const lookedAtLines = (id: number, lines: number[]) =>
  correct(id, {
    ask: () =>
      ask(
        api.POST('/api/v1/deliveries/{id}/look', {
          params: { path: { id } },
          body: { lines }
        })
      ),
    concerns: concerns(id)
  });

const question = ({ code, severity }: FindingGroup) => ({ finding: code, severity });

/** Applies one repair to all lines of a question that offer it. */
export const repairLines = (id: number, group: FindingGroup, repair: string, title: string) =>
  correct(id, {
    ask: () =>
      ask(
        api.POST('/api/v1/deliveries/{id}/repair', {
          params: { path: { id } },
          body: { ...question(group), repair }
        })
      ),
    message: (changed) => `${capital(title)}: ${count(changed.lines, 'line')}`,
    concerns: concerns(id)
  });

/** Says of all lines of a question that somebody looked at them. */
export const lookedAt = (id: number, group: FindingGroup) =>
  correct(id, {
    ask: () =>
      ask(
        api.POST('/api/v1/deliveries/{id}/look', {
          params: { path: { id } },
          body: question(group)
        })
      ),
    message: (changed) => `Looked at ${count(changed.lines, 'line')}`,
    concerns: concerns(id)
  });

/** Takes all lines that pass into a library, once what was corrected before is put right. */
export const takeLines = (
  delivery: Delivery,
  library: { id?: number; name: string },
  numbering: string,
  section: string
) =>
  act({
    ask: async () => {
      await corrected(delivery.id);
      return ask(
        api.POST('/api/v1/deliveries/{id}/accept', {
          params: { path: { id: delivery.id } },
          body: { library: library.id, numbering, section: section.trim() || undefined }
        })
      );
    },
    message: (taken) => {
      const renumbered = taken.renumbered ? `, ${taken.renumbered} under another number` : '';
      const refused = taken.refused ? `; ${taken.refused} stay here: ${taken.refusal}` : '';
      return `${taken.what} entered ${library.name}${renumbered}${refused}`;
    },
    concerns: [...concerns(delivery.id), ['library']]
  });

/** Chooses whose values stand where the shop has another tool under the code. */
export const settleLines = (
  id: number,
  answer: 'keep' | 'replace' | 'merge',
  lines?: number[],
  fields?: string[],
  finding?: 'vendor-conflict'
) =>
  correct(id, {
    ask: () =>
      ask(
        api.POST('/api/v1/deliveries/{id}/settle', {
          params: { path: { id } },
          body: { answer, lines, fields, finding }
        })
      ),
    message: (changed) =>
      answer === 'keep'
        ? `The shop keeps ${count(changed.lines, 'tool')} as they are`
        : `${count(changed.lines, 'tool')} of the shop will change`,
    concerns: concerns(id)
  });

/** Lets lines in that are held, with a reason that stays on the trail. */
export const allowLines = (id: number, group: FindingGroup, reason: string) =>
  correct(id, {
    ask: () =>
      ask(
        api.POST('/api/v1/deliveries/{id}/allow', {
          params: { path: { id } },
          body: { ...question(group), reason }
        })
      ),
    message: (changed) => `Let in ${count(changed.lines, 'line')}: ${reason}`,
    concerns: concerns(id)
  });

export const watchFolder = (name: string, library?: number, recipe?: string) =>
  act({
    ask: () => ask(api.POST('/api/v1/folders', { body: { name, library, recipe } })),
    message: (folder) => `Watching ${folder.path}`,
    concerns: [['folder', ALL]]
  });

export const leaveFolder = (id: number, name: string) =>
  act({
    ask: () => ask(api.DELETE('/api/v1/folders/{id}', { params: { path: { id } } })),
    message: `No longer watching ${name}`,
    concerns: [['folder', ALL]]
  });
