import { infiniteQueryOptions, queryOptions } from '@tanstack/svelte-query';
import { ALL } from '$lib/api/cache';
import { api, ask, type Finding, type Line } from '$lib/api/client';

const PAGE = 50;
const LONG_PAGE = 500;

export const deliveriesQuery = () =>
  queryOptions({
    queryKey: ['delivery', ALL],
    queryFn: () => ask(api.GET('/api/v1/deliveries'))
  });

export const deliveryQuery = (id: number) =>
  queryOptions({
    queryKey: ['delivery', String(id), 'head'],
    queryFn: () => ask(api.GET('/api/v1/deliveries/{id}', { params: { path: { id } } }))
  });

/** What was found in the lines, by kind. */
export const findingsQuery = (id: number) =>
  queryOptions({
    queryKey: ['delivery', String(id), 'findings'],
    queryFn: () => ask(api.GET('/api/v1/deliveries/{id}/findings', { params: { path: { id } } }))
  });

/** What lines have in common: findings of a code or kind and of one severity. */
export interface Asked {
  code: string;
  severity: Finding['severity'];
}

/** The findings of a line that belong to a question. */
export const answering = (line: Line, asked: Asked) =>
  line.findings.filter(
    ({ code, severity }) =>
      severity === asked.severity && (code === asked.code || code.startsWith(`${asked.code}.`))
  );

/** How the lines of a delivery are narrowed and sorted. */
export interface Narrowed {
  text: string;
  sort: string;
  /** What the lines are grouped by, and which of these groups. */
  by?: string;
  group?: string;
}

/** Lines with a question or a disposition, page by page. */
export const linesQuery = (id: number, asked?: Asked, disposition?: string, narrowed?: Narrowed) =>
  infiniteQueryOptions({
    queryKey: [
      'delivery',
      String(id),
      'lines',
      asked?.code ?? '',
      asked?.severity ?? '',
      disposition ?? '',
      narrowed?.text ?? '',
      narrowed?.sort ?? '',
      narrowed?.by ?? '',
      narrowed?.group ?? ''
    ],
    initialPageParam: undefined as number | undefined,
    queryFn: ({ pageParam }) =>
      ask(
        api.GET('/api/v1/deliveries/{id}/lines', {
          params: {
            path: { id },
            query: {
              finding: asked?.code,
              severity: asked?.severity,
              disposition: disposition === 'all' ? undefined : disposition,
              text: narrowed?.text || undefined,
              sort: narrowed?.sort || undefined,
              by: narrowed?.by,
              group: narrowed?.group,
              after: pageParam,
              limit: PAGE
            }
          }
        })
      ),
    getNextPageParam: (last) => (last.next ? Number(last.next) : undefined)
  });

/** What the lines have in common, counted. */
export const lineGroupsQuery = (id: number, by: string, disposition: string, text: string) =>
  queryOptions({
    queryKey: ['delivery', String(id), 'groups', by, disposition, text],
    queryFn: () =>
      ask(
        api.GET('/api/v1/deliveries/{id}/lines/groups', {
          params: {
            path: { id },
            query: {
              by,
              disposition: disposition === 'all' ? undefined : disposition,
              text: text || undefined
            }
          }
        })
      )
  });

/** What stands beside a line: the shop's tool under its code, and what looks like it. */
export const besideQuery = (id: number, line: number) =>
  queryOptions({
    queryKey: ['delivery', String(id), 'beside', line],
    queryFn: () =>
      ask(
        api.GET('/api/v1/deliveries/{id}/lines/{lineId}/beside', {
          params: { path: { id, lineId: line } }
        })
      )
  });

/** How a delivery stands to the library that it came from. */
export const comparedQuery = (id: number) =>
  queryOptions({
    queryKey: ['delivery', String(id), 'compared'],
    queryFn: () => ask(api.GET('/api/v1/deliveries/{id}/compare', { params: { path: { id } } }))
  });

export const foldersQuery = () =>
  queryOptions({
    queryKey: ['folder', ALL],
    queryFn: () => ask(api.GET('/api/v1/folders'))
  });

/** All lines of a delivery in an order, however many pages these are. */
export async function allLines(id: number, sort?: string): Promise<Line[]> {
  const all: Line[] = [];
  let after: number | undefined;
  do {
    const { items, next } = await ask(
      api.GET('/api/v1/deliveries/{id}/lines', {
        params: { path: { id }, query: { limit: LONG_PAGE, sort, after } }
      })
    );
    all.push(...items);
    after = next ? Number(next) : undefined;
  } while (after !== undefined);
  return all;
}
