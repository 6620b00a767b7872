import type { QueryClient } from '@tanstack/svelte-query';

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
  machine: ['machines', 'machine', 'tables'],
  trail: ['trail']
};

/** Listens to what others change and loads again what this page shows of it. */
export function listen(client: QueryClient): () => void {
  const source = new EventSource('/api/v1/events');
  source.onmessage = (message) => {
    const event = JSON.parse(message.data as string) as LiveEvent;
    for (const key of CONCERNED[event.topic] ?? []) {
      void client.invalidateQueries({ queryKey: [key] });
    }
  };
  return () => source.close();
}
