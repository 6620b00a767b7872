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
