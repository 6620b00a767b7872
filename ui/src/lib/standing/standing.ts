import type { Standing } from '$lib/api/client';

/** How far tools can be trusted, in their order, as people call it. */
export const standings: { value: Standing; label: string; meaning: string }[] = [
  { value: 'DRAFT', label: 'Draft', meaning: 'somebody writes on it' },
  { value: 'CHECKED', label: 'Checked', meaning: 'inspected and taken' },
  { value: 'RELEASED', label: 'Released', meaning: 'may be used' },
  { value: 'RETIRED', label: 'Retired', meaning: 'kept, not used again' }
];

export function standingLabel(standing: string): string {
  return standings.find(({ value }) => value === standing)?.label ?? standing;
}
