import { PersistedState } from 'runed';
import type { Outline, ToolRow } from '$lib/api/client';

/** A tool that somebody picked, as a library holds it. */
export interface Picked {
  toolId: number;
  libraryId: number;
  library: string;
  number: number;
  code: string;
  name: string;
  outline: Outline | null;
}

/** A basket with more than this could not be looked at. */
export const MOST_PICKED = 2000;

const asked = (row: ToolRow): Picked => ({
  toolId: row.toolId,
  libraryId: row.libraryId,
  library: row.library,
  number: row.number,
  code: row.code,
  name: row.name,
  outline: row.outline ?? null
});

/** Tools picked from any library, in their order; kept in the browser until they are taken out. */
export class Basket {
  private kept: PersistedState<Picked[]>;

  constructor(name: string) {
    this.kept = new PersistedState<Picked[]>(name, []);
  }

  get picked(): Picked[] {
    return this.kept.current;
  }

  has(toolId: number): boolean {
    return this.picked.some((one) => one.toolId === toolId);
  }

  /** Adds rows behind the others; how many were not in it and found room. */
  add(rows: ToolRow[]): number {
    const fresh: Picked[] = [];
    for (const row of rows) {
      if (!this.has(row.toolId) && !fresh.some((one) => one.toolId === row.toolId))
        fresh.push(asked(row));
    }
    const room = fresh.slice(0, Math.max(0, MOST_PICKED - this.picked.length));
    this.kept.current = [...this.picked, ...room];
    return room.length;
  }

  remove(toolIds: number[]) {
    this.kept.current = this.picked.filter((one) => !toolIds.includes(one.toolId));
  }

  /** Moves a tool before another one, or to the end. */
  move(toolId: number, before: number | null) {
    const moved = this.picked.find((one) => one.toolId === toolId);
    if (!moved || toolId === before) return;
    const rest = this.picked.filter((one) => one.toolId !== toolId);
    const at = rest.findIndex((one) => one.toolId === before);
    this.kept.current = rest.toSpliced(at < 0 ? rest.length : at, 0, moved);
  }

  clear() {
    this.kept.current = [];
  }
}

/** What the server asks for: the tools of each library, in the order of the basket. */
export function picksOf(
  picked: Pick<Picked, 'libraryId' | 'toolId'>[]
): { from: number; tools: number[] }[] {
  const picks: { from: number; tools: number[] }[] = [];
  for (const { libraryId, toolId } of picked) {
    const last = picks.at(-1);
    if (last?.from === libraryId) last.tools.push(toolId);
    else picks.push({ from: libraryId, tools: [toolId] });
  }
  return picks;
}

export const basket = new Basket('basket');
