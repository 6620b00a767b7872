import type { SectionView } from '$lib/api/client';

/**
 * Before which section one goes when it moves by one place among those beside it; 0 for the last
 * place, nothing where it cannot move.
 */
export function neighbour(
  sections: SectionView[],
  section: SectionView,
  down: boolean
): number | undefined {
  const beside = sections.filter(({ parent }) => (parent ?? null) === (section.parent ?? null));
  const at = beside.findIndex(({ id }) => id === section.id);
  if (!down) return beside[at - 1]?.id;
  return at < beside.length - 1 ? (beside[at + 2]?.id ?? 0) : undefined;
}

/** A section with the one that it is in, as the server reads it. */
export function path(sections: SectionView[], section: SectionView): string {
  const outer = sections.find(({ id }) => id === section.parent);
  return outer ? `${outer.name} / ${section.name}` : section.name;
}

/**
 * What changes where a section is dropped on another one: it goes before that, into what that is
 * in. Nothing where it cannot: on itself, into one of its own, or with its own into another one.
 */
export function droppedOn(
  sections: SectionView[],
  moved: SectionView,
  target: SectionView
): { parent: number; before: number } | undefined {
  const parent = target.parent ?? 0;
  const holds = sections.some((one) => one.parent === moved.id);
  if (moved.id === target.id || parent === moved.id || (holds && parent !== 0)) return undefined;
  return { parent, before: target.id };
}
