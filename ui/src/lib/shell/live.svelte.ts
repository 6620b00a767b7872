import { SvelteMap } from 'svelte/reactivity';
import { cache, reload, reloadSubject } from '$lib/api/cache';
import { api, ask } from '$lib/api/client';

interface LiveEvent {
  topic: string;
  subject: string;
  detail: string;
}

/** What else shows something of a topic, whatever its subject. */
const SHOWN_ELSEWHERE: Record<string, string[]> = {
  component: ['tool'],
  machine: ['physical']
};

/** Long work on the lines of a delivery. */
export interface Work {
  deed: 'taking' | 'correcting';
  count: number;
}

const working = new SvelteMap<string, Work>();

/** How far changes of many tools are, by the names that they were given: `500 of 900`. */
const changing = new SvelteMap<string, string>();

/** How far a change of many tools is. */
export function changed(work: string): string {
  return changing.get(work) ?? '';
}

/** How far work on a delivery is, while somebody takes its lines or puts them right. */
export function soFar(delivery: number): Work | undefined {
  return working.get(String(delivery));
}

/** Keeps count of running work; true where nothing else changed with it. */
export function counted(event: LiveEvent): boolean {
  if (event.topic === 'bulk') {
    changing.set(event.subject, event.detail);
    return true;
  }
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

/** How long a break may last before the page speaks of it; browsers ask again after a second. */
const PATIENCE_MS = 2500;
/** After this the page asks again where the browser gave up. */
const AGAIN_MS = 3000;

/** Whether this page hears what others change; what it shows grows old where it does not. */
export const connection = $state<{ state: 'heard' | 'lost' | 'signed out' }>({ state: 'heard' });

/** Listens to what others change and loads again what this page shows of it. */
export function listen(): () => void {
  let source: EventSource;
  let broken = false;
  let ended = false;
  let patience: ReturnType<typeof setTimeout>;
  let again: ReturnType<typeof setTimeout>;

  function open() {
    source = new EventSource('/api/v1/events');
    source.onopen = heard;
    source.onerror = lost;
    source.onmessage = (message) => hear(JSON.parse(message.data as string) as LiveEvent);
  }

  /** What was said during a break is not said again, so all that is shown is loaded. */
  function heard() {
    clearTimeout(patience);
    connection.state = 'heard';
    if (broken) {
      broken = false;
      working.clear();
      void cache.invalidateQueries();
    }
  }

  function lost() {
    if (!broken) {
      broken = true;
      patience = setTimeout(() => (connection.state = 'lost'), PATIENCE_MS);
    }
    if (source.readyState === EventSource.CLOSED) {
      void refused();
    }
  }

  async function refused() {
    const session = await ask(api.GET('/api/v1/session')).catch(() => undefined);
    if (ended) {
      return;
    }
    if (session && !session.name) {
      clearTimeout(patience);
      connection.state = 'signed out';
    } else {
      again = setTimeout(open, AGAIN_MS);
    }
  }

  open();
  return () => {
    ended = true;
    clearTimeout(patience);
    clearTimeout(again);
    source.close();
    connection.state = 'heard';
  };
}

function hear(event: LiveEvent) {
  if (counted(event)) {
    return;
  }
  void reloadSubject(event.topic, event.subject);
  void reload(...(SHOWN_ELSEWHERE[event.topic] ?? []).map((topic) => [topic]));
  // Who may do what in a library counts on the pages of its tools, too.
  if (event.topic === 'library' && event.detail === 'rights') void reload(['tool'], ['proposal']);
}
