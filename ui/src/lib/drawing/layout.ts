import type { Mark, Outline } from '$lib/api/client';
import { view, type View } from './geometry';

/** A dimension with the place of its field and its lines, in pixels. */
export interface Placed {
  mark: Mark;
  /** Middle of the field. */
  x: number;
  y: number;
  lines: [number, number, number, number][];
}

export interface Layout {
  at: View;
  placed: Placed[];
  height: number;
  axis: number;
}

const FIELD = 118;
const STEP = 30;

/** Places all dimensions of an outline: lengths below, diameters at the ends, the rest above. */
export function layout(outline: Outline, width: number): Layout {
  const side = FIELD + 44;
  const scale = Math.min((width - 2 * side) / outline.length, 150 / outline.diameter);
  const half = (outline.diameter / 2) * scale;
  const left = side + (width - 2 * side - outline.length * scale) / 2;
  const marks = unique(outline.marks);
  const ends = endMarks(marks, outline);
  const above = marks.filter((mark) => mark.kind !== 'ALONG' && !ends.includes(mark));
  const axis = 34 + rows(above, width, left, scale) * STEP + half;
  const at = view(left, axis, scale);
  const placed = [
    ...ends.map((mark) => end(mark, at, outline)),
    ...over(above, at, axis - half),
    ...under(
      marks.filter((mark) => mark.kind === 'ALONG'),
      at,
      axis + half
    )
  ];
  const lowest = Math.max(axis + half, ...placed.map((dimension) => dimension.y));
  return { at, placed, axis, height: lowest + 28 };
}

/** The same in the middle of a height; as it is where that is too low. */
export function lowered(laid: Layout, height: number): Layout {
  const down = Math.max(0, (height - laid.height) / 2);
  return {
    at: { x: laid.at.x, y: (r) => laid.at.y(r) + down },
    axis: laid.axis + down,
    height: laid.height + down,
    placed: laid.placed.map((dimension) => ({
      ...dimension,
      y: dimension.y + down,
      lines: dimension.lines.map(([x1, y1, x2, y2]) => [x1, y1 + down, x2, y2 + down])
    }))
  };
}

/** Dimensions that are shorter than their fields with these beside the end that is dragged. */
export function besideEnd(dimension: Placed, end: number): Placed {
  const [from, , to] = dimension.lines[0];
  const short = dimension.mark.kind === 'ALONG' && to - from < FIELD + 16;
  if (!short) return dimension;
  const left = Math.abs(end - from) < Math.abs(end - to);
  return { ...dimension, x: left ? from - FIELD / 2 - 8 : to + FIELD / 2 + 8 };
}

function unique(marks: Mark[]): Mark[] {
  return marks.filter((mark, index) => marks.findIndex((m) => m.symbol === mark.symbol) === index);
}

/** The diameter nearest to each end of the tool. */
function endMarks(marks: Mark[], outline: Outline): Mark[] {
  const across = marks.filter((mark) => mark.kind === 'ACROSS').sort((a, b) => a.z1 - b.z1);
  if (across.length < 2) {
    return across;
  }
  const tip = across[across.length - 1];
  const tail = across[0];
  return tail.z1 < outline.length / 2 ? [tail, tip] : [tip];
}

function end(mark: Mark, at: View, outline: Outline): Placed {
  const tail = mark.z1 < outline.length / 2;
  const edge = tail ? at.x(0) - 18 : at.x(outline.length) + 18;
  const x = tail ? edge - FIELD / 2 - 6 : edge + FIELD / 2 + 6;
  const from = at.x(reached(mark, outline, tail));
  return {
    mark,
    x,
    y: at.y(0),
    lines: [
      [edge, at.y(mark.r), edge, at.y(-mark.r)],
      [from, at.y(mark.r), edge, at.y(mark.r)],
      [from, at.y(-mark.r), edge, at.y(-mark.r)]
    ]
  };
}

/** Where the outline last has the diameter of a mark, seen from the middle: its lines begin there. */
function reached(mark: Mark, outline: Outline, tail: boolean): number {
  const there = outline.parts
    .flatMap((part) => part.profile)
    .filter((point) => Math.abs(point.r - mark.r) < 1e-6)
    .map((point) => point.z);
  if (there.length === 0) return mark.z1;
  return tail ? Math.min(...there) : Math.max(...there);
}

function rows(above: Mark[], width: number, left: number, scale: number): number {
  return slots(above, view(left, 0, scale)).reduce((most, slot) => Math.max(most, slot.row + 1), 1);
}

/** Spreads fields over rows so that none covers another. */
function slots(marks: Mark[], at: View): { mark: Mark; row: number }[] {
  const ends: number[] = [];
  return [...marks]
    .sort((a, b) => a.z1 - b.z1)
    .map((mark) => {
      const x = at.x(mark.z1) - FIELD / 2;
      let row = ends.findIndex((edge) => edge <= x);
      if (row < 0) {
        row = ends.length;
      }
      ends[row] = x + FIELD + 8;
      return { mark, row };
    });
}

function over(marks: Mark[], at: View, top: number): Placed[] {
  return slots(marks, at).map(({ mark, row }) => {
    const x = at.x(mark.z1);
    const y = top - 24 - row * STEP;
    return { mark, x, y, lines: [[x, y + 12, x, at.y(mark.r)]] };
  });
}

function under(marks: Mark[], at: View, bottom: number): Placed[] {
  return [...marks]
    .sort((a, b) => a.z2 - a.z1 - (b.z2 - b.z1))
    .map((mark, index) => {
      const y = bottom + 26 + index * STEP;
      const from = at.x(mark.z1);
      const to = at.x(mark.z2);
      return {
        mark,
        x: (from + to) / 2,
        y,
        lines: [
          [from, y, to, y],
          [from, bottom + 4, from, y + 5],
          [to, bottom + 4, to, y + 5]
        ]
      };
    });
}
