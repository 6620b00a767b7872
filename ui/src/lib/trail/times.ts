/** How far back somebody looks. */
export type Span = 'ever' | 'today' | 'week' | 'month';

export const times: { value: Span; label: string }[] = [
  { value: 'ever', label: 'ever' },
  { value: 'today', label: 'today' },
  { value: 'week', label: 'in the last 7 days' },
  { value: 'month', label: 'in the last 30 days' }
];

const DAYS: Record<Exclude<Span, 'ever'>, number> = { today: 0, week: 7, month: 30 };

/** The moment from which on lines are wanted, at the beginning of a day here; nothing for all. */
export function since(span: Span, now = new Date()): string | undefined {
  if (span === 'ever') return undefined;
  const day = new Date(now.getFullYear(), now.getMonth(), now.getDate() - DAYS[span]);
  return day.toISOString();
}
