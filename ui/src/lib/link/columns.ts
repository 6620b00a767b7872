import type { Link, LinkEnd, LinkKind } from '$lib/api/client';

/** Which kinds stand in which column, from left to right. */
const COLUMNS: { title: string; kinds: LinkKind[] }[] = [
  { title: 'Jobs, posts, outlets and stacks', kinds: ['JOB', 'POST', 'OUTLET', 'STACK'] },
  { title: 'Machines', kinds: ['MACHINE'] },
  { title: 'Libraries and editions', kinds: ['LIBRARY', 'EDITION'] },
  { title: 'Controls, defaults and holders', kinds: ['CONTROL', 'DEFAULTS', 'HOLDER'] }
];

export interface Node {
  end: LinkEnd;
  key: string;
  column: number;
  row: number;
  stray: string | null;
}

export interface Edge {
  link: Link;
  from: Node;
  to: Node;
}

export const keyOf = (end: LinkEnd): string => `${end.kind} ${end.id}`;

/** Links that are drawn: of stacks, of which there are thousands, the strays alone. */
export const drawn = (links: Link[]): Link[] =>
  links.filter(({ from, stray }) => from.kind !== 'STACK' || stray);

/** Places the ends of links in columns, each once, and says what is linked with what. */
export function inColumns(links: Link[]): {
  titles: string[];
  nodes: Node[];
  edges: Edge[];
  rows: number;
} {
  const nodes = new Map<string, Node>();
  const rows = COLUMNS.map(() => 0);
  const strays = new Map(
    links.filter(({ stray }) => stray).map(({ to, stray }) => [keyOf(to), stray ?? null])
  );
  const ends = links.flatMap(({ from, to }) => [from, to]);
  const sorted = [...ends].sort(
    (one, other) => one.kind.localeCompare(other.kind) || one.name.localeCompare(other.name)
  );
  for (const end of sorted) {
    const key = keyOf(end);
    const column = COLUMNS.findIndex(({ kinds }) => kinds.includes(end.kind));
    if (column >= 0 && !nodes.has(key)) {
      nodes.set(key, { end, key, column, row: rows[column]++, stray: strays.get(key) ?? null });
    }
  }
  const edges = links.flatMap((link) => {
    const from = nodes.get(keyOf(link.from));
    const to = nodes.get(keyOf(link.to));
    return from && to ? [{ link, from, to }] : [];
  });
  return {
    titles: COLUMNS.map(({ title }) => title),
    nodes: [...nodes.values()],
    edges,
    rows: Math.max(0, ...rows)
  };
}
