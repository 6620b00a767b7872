import type { Carried } from './copied';

/** What is dragged when tools are: which, and of which libraries, as JSON. */
export const DRAGGED = 'application/x-arborline-tools';

export const dragged = (rows: Carried[]): string =>
  JSON.stringify(rows.map(({ toolId, libraryId }) => ({ toolId, libraryId })));

export const carries = (event: DragEvent): boolean =>
  event.dataTransfer?.types.includes(DRAGGED) ?? false;

/** The tools that were dropped; none where something else was. */
export function dropped(event: DragEvent): Carried[] {
  const text = event.dataTransfer?.getData(DRAGGED);
  return text ? (JSON.parse(text) as Carried[]) : [];
}
