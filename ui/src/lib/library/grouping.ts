import type { ToolRow } from '$lib/api/client';
import { capital } from '$lib/shell/text';
import { standingLabel } from '$lib/standing/standing';
import { units } from '$lib/quantity/units.svelte';

/** By what a list of tools can be grouped, as the server is asked. */
export const groupings = [
  { value: '', label: 'not grouped' },
  { value: 'class', label: 'by class' },
  { value: 'diameter', label: 'by diameter' },
  { value: 'holder', label: 'by holder' },
  { value: 'section', label: 'by section' },
  { value: 'material', label: 'by work material' },
  { value: 'library', label: 'by library' },
  { value: 'standing', label: 'by standing' }
] as const;

export type Grouping = (typeof groupings)[number]['value'];

const WITHOUT: Partial<Record<Grouping, string>> = {
  holder: 'Without a stack',
  section: 'In no section',
  material: 'Without cutting data'
};

/** Names of work materials by id. */
export type Names = Record<string, string>;

/** Work materials that are told by their ids, as people call them. */
export function materialNames(ids: string, materials: Names): string {
  return ids
    .split(', ')
    .map((id) => materials[id] ?? id)
    .join(', ');
}

/** What stands above the rows of a group. */
export function groupTitle(row: ToolRow, by: Grouping, materials: Names = {}): string {
  const group = row.group ?? '';
  if (by === 'class') return capital(row.classTitle);
  if (by === 'diameter')
    return Number(group) > 0
      ? `Ø ${units.entry(Number(group), 'mm')} ${units.label('mm')}`
      : 'No diameter';
  if (by === 'standing') return standingLabel(group);
  if (by === 'material' && group) return capital(materialNames(group, materials));
  return group || (WITHOUT[by] ?? '');
}
