import { act, perform } from '$lib/api/act';
import { ALL } from '$lib/api/cache';
import { api, ask, type MergeBody } from '$lib/api/client';
import { count } from '$lib/shell/text';

const SEARCH = [['duplicates', ALL]];

/** Has the whole shop searched; lengths within so many mm are the same. */
export const searchDuplicates = (tolerance: number | null) =>
  act({
    ask: () =>
      ask(api.POST('/api/v1/duplicates/search', { body: { tolerance: tolerance ?? undefined } })),
    concerns: SEARCH
  });

export const stopSearch = () =>
  act({ ask: () => ask(api.POST('/api/v1/duplicates/search/stop')), concerns: SEARCH });

export const mergeTools = (order: MergeBody) =>
  perform({
    ask: () => ask(api.POST('/api/v1/duplicates/merge', { body: order })),
    message: ({ code }) => `Merged into ${code}`,
    concerns: [...SEARCH, ['library', ALL], ['tool', ALL]]
  });

export const keepApart = (tools: number[]) =>
  act({
    ask: () => ask(api.POST('/api/v1/duplicates/apart', { body: { tools } })),
    message: `${count(tools.length, 'tool')} are kept apart from now on`,
    concerns: SEARCH
  });
