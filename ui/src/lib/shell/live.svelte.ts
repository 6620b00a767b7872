import { SvelteMap } from 'svelte/reactivity';
import { reload, reloadSubject } from '$lib/api/cache';

interface LiveEvent {
  topic: string;
  subject: string;
  detail: string;
}

/** What else shows something of a topic, whatever its subject. */
const SHOWN_ELSEWHERE: Record<string, string[]> = {
  component: ['tool']
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
export function listen(): () => void {
  const source = new EventSource('/api/v1/events');
  source.onmessage = (message) => {
    const event = JSON.parse(message.data as string) as LiveEvent;
    if (counted(event)) {
      return;
    }
    void reloadSubject(event.topic, event.subject);
    void reload(...(SHOWN_ELSEWHERE[event.topic] ?? []).map((topic) => [topic]));
  };
  return () => source.close();
}
