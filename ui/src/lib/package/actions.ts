import { act } from '$lib/api/act';
import { ALL } from '$lib/api/cache';
import { api, ask } from '$lib/api/client';
import { correct } from '$lib/delivery/corrections';
import { units } from '$lib/quantity/units.svelte';
import { count } from '$lib/shell/text';

const concerns = (id: number) => [
  ['delivery', String(id)],
  ['delivery', ALL]
];

/** Has items held against their models; null for all that were not. */
export const inspectItems = (id: number, lines: number[] | null) =>
  act({
    ask: async () => {
      await ask(
        api.POST('/api/v1/deliveries/{id}/inspect', {
          params: { path: { id } },
          body: { lines: lines ?? undefined }
        })
      );
      return true;
    },
    concerns: concerns(id)
  });

/** Says how far the tool of a stack stands out, in mm. */
export const setOverhang = (id: number, line: number, index: number, overhang: number) =>
  correct(id, {
    ask: () =>
      ask(
        api.PUT('/api/v1/deliveries/{id}/lines/{lineId}/stacks/{index}', {
          params: { path: { id, lineId: line, index } },
          body: { overhang }
        })
      ),
    message: `The tool stands out ${units.entry(overhang, 'mm')} ${units.label('mm')}`,
    concerns: concerns(id)
  });

/** Gives a tool cutting data before it enters. */
export const setCutting = (id: number, line: number, lines: Record<string, string>[]) =>
  correct(id, {
    ask: () =>
      ask(
        api.PUT('/api/v1/deliveries/{id}/lines/{lineId}/cutting', {
          params: { path: { id, lineId: line } },
          body: { lines }
        })
      ),
    message: count(lines.length, 'line') + ' of cutting data',
    concerns: concerns(id)
  });

/** Notes in the shop that items are no longer made. */
export const noteDiscontinued = (id: number, items: string[] | null) =>
  act({
    ask: () =>
      ask(
        api.POST('/api/v1/deliveries/{id}/discontinued', {
          params: { path: { id } },
          body: { items: items ?? undefined }
        })
      ),
    message: 'Noted as no longer made',
    concerns: [...concerns(id), ['tool'], ['component']]
  });

/** Fetches a package of the vendor dispatch as a delivery. */
export const fetchPackage = (packageId: string) =>
  act({
    ask: () => ask(api.POST('/api/v1/news/{packageId}/fetch', { params: { path: { packageId } } })),
    concerns: [
      ['delivery', ALL],
      ['news', ALL]
    ]
  });
