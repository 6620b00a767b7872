/** A tool on its way to a place, as the text of a drag carries it. */
export interface Dragged {
  toolId: number;
  /** Missing where the tool stays with the library from which it is planned. */
  libraryId?: number;
  /** The place that it leaves; missing where it comes out of a library. */
  from?: string;
}

export const dragged = ({ toolId, libraryId, from }: Dragged): string =>
  [toolId, libraryId !== undefined && `of ${libraryId}`, from !== undefined && `from ${from}`]
    .filter(Boolean)
    .join(' ');

/** What was dropped; nothing where it is no tool. */
export function dropped(text: string): Dragged | undefined {
  const found = /^(\d+)(?: of (\d+))?(?: from (\w+))?$/.exec(text);
  if (!found) return undefined;
  return {
    toolId: Number(found[1]),
    ...(found[2] && { libraryId: Number(found[2]) }),
    ...(found[3] && { from: found[3] })
  };
}
