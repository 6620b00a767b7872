import type { OutletView } from '$lib/api/client';

/** How an outlet stands, as a mark. */
export const stands = {
  FED: { kind: 'pass', word: 'up to date' },
  WAITING: { kind: 'note', word: 'is written' },
  STALE: { kind: 'query', word: 'out of date' },
  FAILED: { kind: 'hold', word: 'cannot be written' },
  NO_EDITION: { kind: 'note', word: 'no edition yet' }
} as const;

/** Which edition it is to hold. */
export const holds = ({ edition, should }: OutletView): string =>
  edition != null
    ? `always edition ${edition}`
    : should != null
      ? `the newest, now ${should}`
      : 'the newest';
