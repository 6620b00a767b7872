import type { ProposalHead } from '$lib/api/client';
import { count, moment } from '$lib/shell/text';

/** What became of a proposal, in words. */
export function became(one: ProposalHead): string {
  if (one.state === 'COLLECTED') return 'collected by you, not proposed yet';
  if (one.state === 'OPEN') return one.toMe ? 'waits for your answer' : 'not answered yet';
  if (one.state === 'WITHDRAWN') return 'withdrawn';
  const what =
    one.taken === 0
      ? 'declined'
      : one.taken === one.changes
        ? 'taken'
        : `${one.taken} of ${count(one.changes, 'change')} taken`;
  return `${what} by ${one.answeredBy}, ${moment(one.answeredAt ?? one.madeAt)}`;
}

export const kindWords = { CHANGE: 'changed', NEW: 'new', RETIRE: 'to be retired' } as const;
