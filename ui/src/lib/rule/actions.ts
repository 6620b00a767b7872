import { perform } from '$lib/api/act';
import { api, ask, type RulesBody } from '$lib/api/client';

/** Has the shop decide otherwise. */
export const decide = (body: RulesBody) =>
  perform({
    ask: () => ask(api.PUT('/api/v1/shop/rules', { body })),
    message: 'Decided',
    concerns: [['shop']]
  });
