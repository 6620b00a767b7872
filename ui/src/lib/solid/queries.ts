import { queryOptions } from '@tanstack/svelte-query';
import { api, ask, explainSolid, type Line } from '$lib/api/client';

/** As many lines as a tray shows. */
const MOST = 500;

/** All lines of a delivery whose files are solids. */
export const trayQuery = (delivery: number, solids: number[]) =>
  queryOptions({
    queryKey: ['delivery', String(delivery), 'tray', solids.join()],
    queryFn: async (): Promise<Line[]> => {
      const { items } = await ask(
        api.GET('/api/v1/deliveries/{id}/lines', {
          params: { path: { id: delivery }, query: { limit: MOST } }
        })
      );
      return items.filter((line) => solids.includes(line.file));
    }
  });

/** A file of a delivery and what its solid is. */
export const solidQuery = (delivery: number, file: number, name: string) =>
  queryOptions({
    queryKey: ['solid', String(delivery), String(file)],
    queryFn: async () => {
      const content = await ask(
        api.GET('/api/v1/deliveries/{id}/files/{file}/content', {
          params: { path: { id: delivery, file } },
          parseAs: 'arrayBuffer'
        }) as Promise<{ data?: ArrayBuffer; error?: unknown; response: Response }>
      );
      return { content, solid: await explainSolid(new Blob([content]), name) };
    },
    staleTime: Infinity
  });
