import type { QueryClient } from '@tanstack/svelte-query';
import { SvelteMap } from 'svelte/reactivity';

interface LiveEvent {
  topic: string;
  subject: string;
  detail: string;
}

/** What to load again when something of a topic changed. */
const CONCERNED: Record<string, string[]> = {
  delivery: ['deliveries', 'delivery'],
  library: ['libraries', 'library', 'tools', 'facets'],
  tool: ['tool', 'tools'],
  component: ['components', 'component', 'tool'],
  machine: ['machines', 'machine', 'tables'],
  trail: ['trail']
};

/** Long work on the lines of a delivery. */
export interface Work {
  deed: 'taking' | 'correcting';
  count: number;
}

const working = new SvelteMap<string, Work>();

/** How far work on a delivery is, while somebody takes its lines or puts them right. */
export function soFar(delivery: number): Work | undefined {
  return working.get(String(delivery));
}

/** Keeps count of running work; true where nothing else changed with it. */
export function counted(event: LiveEvent): boolean {
  if (event.topic !== 'delivery') {
    return false;
  }
  const [, deed, number] = /^(taking|correcting) (\d+)$/.exec(event.detail) ?? [];
  if (number) {
    working.set(event.subject, { deed: deed as Work['deed'], count: Number(number) });
    return true;
  }
  working.delete(event.subject);
  return false;
}

/** Listens to what others change and loads again what this page shows of it. */
export function listen(client: QueryClient): () => void {
  const source = new EventSource('/api/v1/events');
  source.onmessage = (message) => {
    const event = JSON.parse(message.data as string) as LiveEvent;
    if (counted(event)) {
      return;
    }
    for (const key of CONCERNED[event.topic] ?? []) {
      void client.invalidateQueries({ queryKey: [key] });
    }
  };
  return () => source.close();
}
