import { QueryClient, type QueryKey } from '@tanstack/svelte-query';

/**
 * Keeps what the server answered. A key is a topic, a subject and what of it is asked:
 * `['tool', '17', 'stacks']`. Topics and subjects are those of the server's live events.
 *
 * Views are told of everything that changes of an answer: a view that has looked at the error alone
 * would not hear that the data came, and read the old answer when it looks at the data later. Servers
 * of a shop are asked also where the browser holds that it has no network.
 */
export const cache = new QueryClient({
  defaultOptions: {
    queries: {
      retry: false,
      refetchOnWindowFocus: false,
      staleTime: 5000,
      notifyOnChangeProps: 'all',
      networkMode: 'always'
    },
    mutations: { networkMode: 'always' }
  }
});

/** The subject of a list over all things of a topic. */
export const ALL = '*';

/** Loads again what begins with one of the keys and is shown now. */
export async function reload(...keys: QueryKey[]): Promise<void> {
  await Promise.all(keys.map((queryKey) => cache.invalidateQueries({ queryKey })));
}

/** Loads again what concerns one thing: itself, and the lists it stands in. */
export function reloadSubject(topic: string, subject: string | number): Promise<void> {
  return reload([topic, String(subject)], [topic, ALL]);
}
