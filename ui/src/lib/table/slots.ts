import type { ControlTool, ToolsOfControl } from '$lib/api/client';
import { hasWords } from '$lib/shell/text';

export type ToolClassColumns = ToolsOfControl['classes'][number];
export type ValueColumn = ToolClassColumns['columns'][number];

/** Ways in which tools of a control are ordered. */
export const ORDERS = ['place', 'class', 'number'] as const;
export type Order = (typeof ORDERS)[number];

/** How a place of the control is called: none is said in words. */
export const placeName = (tool: ControlTool) => tool.place || 'none';

/** The most values that tools of one class have: so many columns there are. */
export const slotCount = (classes: ToolClassColumns[]) =>
  Math.max(0, ...classes.map(({ columns }) => columns.length));

/** Names that fit before a number, where the head of the column means another one. */
const SHORT: Record<string, string> = {
  'X as a diameter': 'X ⌀',
  diameter: '⌀',
  radius: 'R',
  length: 'L',
  'nose radius': 'nose R',
  'tip orientation': 'tip',
  'number of edges': 'edges',
  'point angle': 'angle',
  'hood height': 'hood'
};

/** What the head of a column says for tools of a class; nothing where they have no such value. */
export function headOf(of: ToolClassColumns | undefined, slot: number): string {
  const column = of?.columns[slot];
  if (!column) return '';
  const unit = column.unit ? `, ${column.unit}` : '';
  const title = column.title.replace(' as a diameter', ' ⌀').replace('nose radius', 'nose R');
  return title.charAt(0).toUpperCase() + title.slice(1) + unit;
}

/**
 * What stands before a value whose column means something else in its head: a number is never read
 * as what it is not.
 */
export function prefixOf(
  own: ValueColumn | undefined,
  of: ToolClassColumns | undefined,
  slot: number
): string {
  return !own || own.field === of?.columns[slot]?.field ? '' : (SHORT[own.title] ?? own.title);
}

/** True where the control keeps a wear of what stands in a column, for tools of any class. */
export const wearIn = (classes: ToolClassColumns[], slot: number) =>
  classes.some(({ columns }) => columns[slot]?.wear);

/**
 * A value of a tool and its wear, as the control shows them; `–` for a value that is not set, and
 * for a wear of zero `0`.
 */
export function valueOf(tool: ControlTool, column: ValueColumn | undefined): [string, string] {
  if (!column) return ['', ''];
  const wear = column.wear ? (tool.values[column.wear] ?? '0') : '';
  return [
    tool.values[column.field] ?? '–',
    wear === '' ? '' : Number(wear) === 0 ? '0' : signed(wear)
  ];
}

function signed(text: string): string {
  return /^[-+]/.test(text) ? text : '+' + text;
}

/** Tools in an order; of one class, number or place as they came. */
export function inOrder(tools: ControlTool[], by: Order, titles: Map<string, string>) {
  if (by === 'place') return tools;
  const key = (tool: ControlTool) =>
    by === 'class' ? (titles.get(tool.classId) ?? '') : (tool.number ?? '');
  return [...tools].sort((one, other) =>
    key(one).localeCompare(key(other), 'en', { numeric: true })
  );
}

/** Tools whose code, name or number has all the words. */
export function found(tools: ControlTool[], sought: string): ControlTool[] {
  return tools.filter(({ code, name, number, place }) =>
    hasWords([code, name, number, place], sought)
  );
}

/** A range in one text: `601–606`; one of it is written once. */
export const span = (first: number | string, last: number | string) =>
  first === last ? String(first) : `${first}–${last}`;
