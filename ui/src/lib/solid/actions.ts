import { ALL } from '$lib/api/cache';
import { api, ask } from '$lib/api/client';
import { correct } from '$lib/delivery/corrections';

/** Says which end of a line's solid is the workpiece's: the guessed one or the other. */
export const turnSolid = (delivery: number, line: number, turned: boolean) =>
  correct(delivery, {
    ask: () =>
      ask(
        api.PUT('/api/v1/deliveries/{id}/lines/{lineId}/end', {
          params: { path: { id: delivery, lineId: line } },
          body: { turned }
        })
      ),
    concerns: [
      ['delivery', String(delivery)],
      ['delivery', ALL]
    ]
  });
