import type { Link, LinkEnd, LinkKind } from '$lib/api/client';

/** What names one link among others. */
export const linkKey = ({ from, to }: Link): string =>
  `${from.kind} ${from.id} ${to.kind} ${to.id}`;

/** To what kinds all of some links can be set; nothing where they have none in common. */
export function commonAims(links: Link[]): LinkKind[] {
  const [first, ...others] = links;
  return (first?.aims ?? []).filter((kind) => others.every(({ aims }) => aims.includes(kind)));
}

/** What the strays among some links should lead to, each with those that should. */
export function suggested(links: Link[]): { end: LinkEnd; links: Link[] }[] {
  const found = new Map<string, { end: LinkEnd; links: Link[] }>();
  for (const link of links) {
    if (!link.stray || !link.anew) continue;
    const key = `${link.anew.kind} ${link.anew.id}`;
    const known = found.get(key) ?? { end: link.anew, links: [] };
    known.links.push(link);
    found.set(key, known);
  }
  return [...found.values()];
}
