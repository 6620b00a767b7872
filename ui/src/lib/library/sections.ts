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
