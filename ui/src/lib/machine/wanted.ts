import type { MachineView, PlaceView, PlannedLoad, ToolRow } from '$lib/api/client';

/** A tool that has to be in a machine. */
export interface Wanted {
  toolId: number;
  libraryId: number;
  code: string;
  name: string;
  /** How many of it; one where nothing is said. */
  number?: number;
  outline?: ToolRow['outline'];
}

/** The machine as it stands after a planned load, and which of its places differ from now. */
export function afterLoad(
  view: MachineView,
  load: PlannedLoad,
  wanted: Wanted[]
): { view: MachineView; changed: Record<string, string> } {
  const now = new Map(view.plan.map((place) => [place.place, place]));
  const known = new Map<number, Pick<PlaceView, 'name' | 'outline'>>([
    ...wanted.map((tool) => [tool.toolId, tool] as const),
    ...view.plan.map((place) => [place.toolId, place] as const)
  ]);
  const plan = load.placement.map(({ place, toolId, code, outline }) => ({
    ...known.get(toolId),
    place,
    toolId,
    code,
    outline,
    turned: undefined
  })) as PlaceView[];
  const changed: Record<string, string> = {};
  for (const { place, toolId } of plan) {
    if (now.get(place)?.toolId !== toolId) changed[place] = 'changes';
  }
  return { view: { ...view, plan }, changed };
}
