import { act, perform } from '$lib/api/act';
import { ALL } from '$lib/api/cache';
import { api, ask, type ProposalBody, type TakenChange } from '$lib/api/client';
import { count } from '$lib/shell/text';

const concerns = (id: number) => [
  ['proposal', String(id)],
  ['proposal', ALL]
];

/** Proposes changes to those who maintain a library. */
export const propose = (body: ProposalBody) =>
  perform({
    ask: () => ask(api.POST('/api/v1/proposals', { body })),
    message: 'Proposed; you see the answer on Today',
    concerns: [['proposal', ALL]]
  });

/** Puts changes with those that are proposed together later. */
export const collect = (library: number, changes: NonNullable<ProposalBody['changes']>) =>
  perform({
    ask: () => ask(api.POST('/api/v1/proposals/collected', { body: { library, changes } })),
    message: ({ proposal }) =>
      `${count(proposal.changes, 'change')} of ${proposal.library} collected, not proposed yet`,
    concerns: [['proposal', ALL]]
  });

/** Takes a change out of what is collected. */
export const takeOutCollected = (id: number, place: number) =>
  act({
    ask: () =>
      ask(
        api.DELETE('/api/v1/proposals/{id}/changes/{place}', { params: { path: { id, place } } })
      ),
    message: 'Taken out',
    concerns: concerns(id)
  });

/** Gives up all that is collected. */
export const discardCollected = (id: number) =>
  perform({
    ask: () => ask(api.DELETE('/api/v1/proposals/{id}', { params: { path: { id } } })),
    message: 'Discarded',
    concerns: [['proposal', ALL]]
  });

/** Proposes what is collected. */
export const proposeCollected = (id: number, reason: string) =>
  perform({
    ask: () =>
      ask(
        api.POST('/api/v1/proposals/{id}/propose', {
          params: { path: { id } },
          body: { reason }
        })
      ),
    message: 'Proposed; you see the answer on Today',
    concerns: concerns(id)
  });

/** Takes some changes and declines the others. */
export const answerProposal = (id: number, take: TakenChange[], words: string) =>
  perform({
    ask: () =>
      ask(
        api.POST('/api/v1/proposals/{id}/answer', {
          params: { path: { id } },
          body: { take, words }
        })
      ),
    message: ({ proposal }) =>
      proposal.taken === 0
        ? 'Declined'
        : `Took ${proposal.taken} of ${count(proposal.changes, 'change')}`,
    concerns: [...concerns(id), ['tool', ALL], ['library', ALL]]
  });

export const withdraw = (id: number) =>
  act({
    ask: () => ask(api.POST('/api/v1/proposals/{id}/withdraw', { params: { path: { id } } })),
    message: 'Withdrawn',
    concerns: concerns(id)
  });

/** Whoever made it has read the answer. */
export const answerSeen = (id: number) =>
  act({
    ask: () => ask(api.POST('/api/v1/proposals/{id}/seen', { params: { path: { id } } })),
    concerns: [['proposal', ALL]]
  });
