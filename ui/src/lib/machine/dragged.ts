/** A tool of a library on its way to a pocket, as the text of a drag carries it. */
export interface Dragged {
  toolId: number;
  /** Missing where the tool stays with the library from which it is planned. */
  libraryId?: number;
}

export const dragged = ({ toolId, libraryId }: Dragged): string =>
  libraryId === undefined ? String(toolId) : `${toolId} of ${libraryId}`;

/** What was dropped; nothing where it is no tool. */
export function dropped(text: string): Dragged | undefined {
  const found = /^(\d+)(?: of (\d+))?$/.exec(text);
  if (!found) return undefined;
  return found[2]
    ? { toolId: Number(found[1]), libraryId: Number(found[2]) }
    : { toolId: Number(found[1]) };
}
