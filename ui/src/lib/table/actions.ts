import { act, perform } from '$lib/api/act';
import { cache } from '$lib/api/cache';
import { api, ask, type Decisions } from '$lib/api/client';

/** Reads the control anew. */
export const compareAgain = (machine: string) =>
  cache.resetQueries({ queryKey: ['reconciliation', machine] });

/** The very bytes that would be sent. */
export const dryRun = (machine: string, body: Decisions) =>
  act({
    ask: () =>
      ask(
        api.POST('/api/v1/machines/{id}/reconciliation/dry-run', {
          params: { path: { id: machine } },
          body
        })
      ),
    concerns: []
  });

/** Sends; throws where the control changed since it was read. */
export const applyDecisions = (machine: string, body: Decisions) =>
  perform({
    ask: () =>
      ask(
        api.POST('/api/v1/machines/{id}/reconciliation/apply', {
          params: { path: { id: machine } },
          body
        })
      ),
    concerns: [
      ['reconciliation', machine],
      ['machine', machine]
    ]
  });

/** Decides once for all what is done wherever something is asked. */
export const makeRule = (machine: string, question: string, decision: string) =>
  act({
    ask: () =>
      ask(
        api.PUT('/api/v1/machines/{id}/table/rules/{question}', {
          params: { path: { id: machine, question } },
          body: { decision }
        })
      ),
    message: 'From now on it is suggested so at this machine',
    concerns: [
      ['machine', machine],
      ['reconciliation', machine]
    ]
  });

/** Asks again. */
export const revokeRule = (machine: string, question: string) =>
  act({
    ask: () =>
      ask(
        api.DELETE('/api/v1/machines/{id}/table/rules/{question}', {
          params: { path: { id: machine, question } }
        })
      ),
    message: 'It is asked again at this machine',
    concerns: [
      ['machine', machine],
      ['reconciliation', machine]
    ]
  });
