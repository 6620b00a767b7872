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

const taking = new SvelteMap<string, number>();

/** How many tools of a delivery are taken so far, while somebody takes them. */
export function takenSoFar(delivery: number): number | undefined {
  return taking.get(String(delivery));
}

/** Keeps count of running work; true where nothing else changed with it. */
export function counted(event: LiveEvent): boolean {
  if (event.topic !== 'delivery') {
    return false;
  }
  const number = /^taking (\d+)$/.exec(event.detail)?.[1];
  if (number) {
    taking.set(event.subject, Number(number));
    return true;
  }
  taking.delete(event.subject);
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
