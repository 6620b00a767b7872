import type { ToolRow } from '$lib/api/client';

/** Tools that hang beside each other, or the title of those below. */
export type BoardLine =
  | { title: string; key: string }
  | { tools: { row: ToolRow; index: number; width: number }[]; height: number; key: string };

/** How the tools of a board hang, px. */
export interface Board {
  /** Pixels for a millimetre. */
  scale: number;
  /** How wide the board is. */
  width: number;
  title: (row: ToolRow) => string;
}

const NARROWEST = 76;
/** What a character of a code takes, and what is free on both sides of it. */
const CHARACTER = 7.2;
const APART = 12;
/** Longer codes are cut. */
const LONGEST_CODE = 20;
const BESIDE = 18;
/** Room for code and sizes below a tool. */
export const BELOW = 40;
const LOWEST = 40;

/** Hangs tools in their order onto lines that are as long as the board is wide, group by group. */
export function boardLines(rows: ToolRow[], { scale, width, title }: Board): BoardLine[] {
  const lines: BoardLine[] = [];
  let group: string | undefined;
  let open: Extract<BoardLine, { tools: unknown }> | undefined;
  let used = 0;
  rows.forEach((row, index) => {
    const code = Math.min(LONGEST_CODE, row.code.length) * CHARACTER + APART;
    const own = Math.max(NARROWEST, code, (row.outline?.diameter ?? 0) * scale + BESIDE);
    if (title(row) !== group) {
      group = title(row);
      open = undefined;
      if (group) lines.push({ title: group, key: `title ${row.entryId}` });
    }
    if (!open || used + own > width) {
      open = { tools: [], height: LOWEST, key: `line ${row.entryId}` };
      used = 0;
      lines.push(open);
    }
    open.tools.push({ row, index, width: own });
    open.height = Math.max(open.height, (row.outline?.length ?? 0) * scale);
    used += own;
  });
  return lines;
}

/** The scale at which most tools can be told apart and the longest is no higher than a limit. */
export function boardScale(rows: ToolRow[], highest: number): number {
  const longest = Math.max(1, ...rows.map(({ outline }) => outline?.length ?? 0));
  return highest / longest;
}
