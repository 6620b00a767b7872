import { act } from '$lib/api/act';
import { ALL } from '$lib/api/cache';
import { api, ask, type Piece } from '$lib/api/client';
import { stateWords } from './words';

const concerns = (id: number) => [['physical', ALL], ['physical', String(id)], ['machine']];
const at = ({ id, version }: Piece) => ({ path: { id }, query: { version } });

/** What is to be looked at is said with what was done. */
const said = (text: string) => (done: { questions: string[] }) =>
  [text, ...done.questions].join('; ');

/** @param machine for which it is */
export const makePiece = (toolId: number, machine: string) =>
  act({
    ask: () => ask(api.POST('/api/v1/physical-tools', { body: { toolId, machine } })),
    message: (made) => `Made ${made.serial}`,
    concerns: [['physical', ALL]]
  });

export const assemblePiece = (piece: Piece, assembled: boolean) =>
  act({
    ask: () =>
      ask(
        api.PUT('/api/v1/physical-tools/{id}/assembly', { params: at(piece), body: { assembled } })
      ),
    message: said(`${piece.serial} ${assembled ? 'put together' : 'taken apart'}`),
    concerns: concerns(piece.id)
  });

export const changeState = (piece: Piece, state: Piece['state']) =>
  act({
    ask: () =>
      ask(api.PUT('/api/v1/physical-tools/{id}/state', { params: at(piece), body: { state } })),
    message: said(`${piece.serial} is ${stateWords[state]}`),
    concerns: concerns(piece.id)
  });

export interface Whereabouts {
  kind: Piece['whereKind'];
  machine?: string;
  place?: string;
}

export const carryPiece = (piece: Piece, to: Whereabouts) =>
  act({
    ask: () =>
      ask(api.PUT('/api/v1/physical-tools/{id}/whereabouts', { params: at(piece), body: to })),
    message: said(`${piece.serial} carried`),
    concerns: concerns(piece.id)
  });

export const deletePiece = (piece: Piece) =>
  act({
    ask: () => ask(api.DELETE('/api/v1/physical-tools/{id}', { params: at(piece) })),
    message: `Deleted ${piece.serial}`,
    concerns: concerns(piece.id)
  });

export type Gauge = 'PRESETTER' | 'HEIGHT_GAUGE' | 'CALIPER' | 'MACHINE';

/**
 * Sizes as they were typed; nothing is kept while one of them needs an answer.
 *
 * @param although what is suspected of sizes and answered, by name
 */
export const measurePiece = (
  piece: Piece,
  gauge: Gauge,
  sizes: Record<string, string>,
  although: Record<string, string>
) =>
  act({
    ask: () =>
      ask(
        api.POST('/api/v1/physical-tools/{id}/measurements', {
          params: { path: { id: piece.id } },
          body: { gauge, sizes, although }
        })
      ),
    message: (measured) =>
      measured.saved
        ? `${piece.serial} measured${measured.planned ? `, planned in ${measured.planned}` : ''}`
        : '',
    concerns: concerns(piece.id)
  });
