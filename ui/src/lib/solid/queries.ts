import { queryOptions } from '@tanstack/svelte-query';
import { api, ask, explainSolid, type Line } from '$lib/api/client';
import { allLines } from '$lib/delivery/queries';

/** All lines of a delivery whose files are solids. */
export const trayQuery = (delivery: number, solids: number[]) =>
  queryOptions({
    queryKey: ['delivery', String(delivery), 'tray', solids.join()],
    queryFn: async (): Promise<Line[]> =>
      (await allLines(delivery)).filter((line) => solids.includes(line.file))
  });

/** True where somebody said that the ends of a line's solid stand the other way round. */
export const isTurned = (line?: Line) =>
  line?.findings.some(({ code }) => code === 'solid-turned-around') ?? false;

/** A file of a delivery and what its solid is, as it was read or turned around. */
export const solidQuery = (delivery: number, file: number, name: string, turned: boolean) =>
  queryOptions({
    queryKey: ['solid', String(delivery), String(file), turned],
    queryFn: async () => {
      const content = await ask(
        api.GET('/api/v1/deliveries/{id}/files/{file}/content', {
          params: { path: { id: delivery, file } },
          parseAs: 'arrayBuffer'
        }) as Promise<{ data?: ArrayBuffer; error?: unknown; response: Response }>
      );
      return { content, solid: await explainSolid(new Blob([content]), name, turned) };
    },
    staleTime: Infinity
  });
