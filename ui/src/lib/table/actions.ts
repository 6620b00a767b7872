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
