import type { Outline, Part } from '$lib/api/client';

/** Millimetres to pixels: z to the right, the axis at a given height. */
export interface View {
  x: (z: number) => number;
  y: (r: number) => number;
}

export function view(left: number, axis: number, scale: number): View {
  return { x: (z) => left + z * scale, y: (r) => axis - r * scale };
}

/** The closed path of a part: its half profile mirrored at the axis, or its polygon if it is flat. */
export function path(part: Part, at: View): string {
  if (part.flat) {
    return `M${part.profile.map((p) => `${round(at.x(p.z))} ${round(at.y(p.r))}`).join('L')}Z`;
  }
  const upper = part.profile.map((p) => `${round(at.x(p.z))} ${round(at.y(p.r))}`);
  const lower = [...part.profile].reverse().map((p) => `${round(at.x(p.z))} ${round(at.y(-p.r))}`);
  return `M${upper.join('L')}L${lower.join('L')}Z`;
}

/** The largest scale at which an outline fits into a box. */
export function fit(outlines: Outline[], width: number, height: number): number {
  const length = Math.max(1, ...outlines.map((outline) => outline.length));
  const diameter = Math.max(1, ...outlines.map((outline) => outline.diameter));
  return Math.min(width / length, height / diameter);
}

function round(value: number): number {
  return Math.round(value * 100) / 100;
}
