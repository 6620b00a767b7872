import type { ReportRow } from '$lib/api/client';

/** Places of which the same is said, and what may be decided of all of them at once. */
export interface Alike {
  why: string;
  words: string;
  places: string[];
  possible: string[];
  /** What is decided of all of them; nothing where that is not the same. */
  decision: string;
  /** True where each of them is asked about. */
  asked: boolean;
}

/** Places that can be decided together, the largest group first; none that is alone. */
export function alike(rows: ReportRow[], decision: (row: ReportRow) => string): Alike[] {
  const groups = new Map<string, ReportRow[]>();
  for (const row of rows) {
    if (row.state !== 'in step' && row.together.length > 0) {
      const key = `${row.why} ${row.suggested}`;
      groups.set(key, [...(groups.get(key) ?? []), row]);
    }
  }
  return [...groups.values()]
    .filter((group) => group.length > 1)
    .sort((one, other) => other.length - one.length)
    .map((group) => {
      const [first] = group;
      const decided = new Set(group.map(decision));
      return {
        why: first.why,
        words: first.whyWords,
        places: group.map(({ place }) => place),
        possible: first.together.filter((each) =>
          group.every(({ together }) => together.includes(each))
        ),
        decision: decided.size === 1 ? [...decided][0] : '',
        asked: first.suggested === 'ask'
      };
    });
}
