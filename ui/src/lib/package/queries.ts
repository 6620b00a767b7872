import { queryOptions } from '@tanstack/svelte-query';
import { ALL } from '$lib/api/cache';
import { api, ask, type Line } from '$lib/api/client';
import { allLines } from '$lib/delivery/queries';

/** Lines that are neither items nor told apart: nobody goes through these one by one. */
const items = ['cutter', 'insert', 'holder', 'extension', 'collet', 'arbor', 'aggregate'];

/** What a vendor's package means for the shop. */
export const packageQuery = (delivery: number) =>
  queryOptions({
    queryKey: ['delivery', String(delivery), 'package'],
    queryFn: () =>
      ask(api.GET('/api/v1/deliveries/{id}/package', { params: { path: { id: delivery } } }))
  });

/** All items of a delivery in an order. */
export const itemsQuery = (delivery: number, sort: string) =>
  queryOptions({
    queryKey: ['delivery', String(delivery), 'items', sort],
    queryFn: async (): Promise<Line[]> =>
      (await allLines(delivery, sort)).filter(
        (line) =>
          items.includes(line.kind) &&
          !line.findings.some(({ code }) => code === 'restated' || code === 'line-blank')
      )
  });

/** A stack of a line as it would stand, its tool standing out so far in mm. */
export const lineStackQuery = (delivery: number, line: number, index: number, overhang?: number) =>
  queryOptions({
    queryKey: ['delivery', String(delivery), 'stack', line, index, overhang ?? ''],
    queryFn: () =>
      ask(
        api.GET('/api/v1/deliveries/{id}/lines/{lineId}/stacks/{index}', {
          params: { path: { id: delivery, lineId: line, index }, query: { overhang } }
        })
      ),
    placeholderData: (before) => before
  });

/** What the vendor changed of the item of a line, beside what the shop has. */
export const vendorChangeQuery = (delivery: number, line: number) =>
  queryOptions({
    queryKey: ['delivery', String(delivery), 'vendor', line],
    queryFn: () =>
      ask(
        api.GET('/api/v1/deliveries/{id}/lines/{lineId}/vendor', {
          params: { path: { id: delivery, lineId: line } }
        })
      )
  });

/** The vendors that a tool, or a holder or another part, was taken from. */
export const originQuery = (owner: 'tools' | 'components', id: number) =>
  queryOptions({
    queryKey: [owner === 'tools' ? 'tool' : 'component', String(id), 'origin'],
    queryFn: () =>
      owner === 'tools'
        ? ask(api.GET('/api/v1/tools/{id}/origin', { params: { path: { id } } }))
        : ask(api.GET('/api/v1/components/{id}/origin', { params: { path: { id } } }))
  });

/** News of all vendors; asked at the dispatch anew each time. */
export const newsQuery = () =>
  queryOptions({
    queryKey: ['news', ALL],
    queryFn: () => ask(api.GET('/api/v1/news')),
    staleTime: 0
  });
