import { act } from '$lib/api/act';
import { api, ask, type Standing } from '$lib/api/client';
import { count } from '$lib/shell/text';
import { standingLabel } from './standing';

/** Brings tools to a standing; resolves to false where that was refused. */
export const moveTools = (tools: number[], standing: Standing) =>
  act({
    ask: () => ask(api.POST('/api/v1/tools/standing', { body: { tools, standing } })),
    message: ({ changed, same }) =>
      changed === 0
        ? `${same === 1 ? 'It is' : 'They are'} ${standingLabel(standing).toLowerCase()} already`
        : `${standingLabel(standing)}: ${count(changed, 'tool')}` +
          (same > 0 ? `; ${same} ${same === 1 ? 'was' : 'were'} so already` : ''),
    concerns: [['tool'], ['library']]
  });
