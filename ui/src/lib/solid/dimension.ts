import type { Mark, Outline } from '$lib/api/client';
import type { ContourPoint } from './contour';

/** How near to a corner of the contour a dragged end goes into it, in pixels. */
const NEAR = 7;

/** What the end of a dragged dimension may go to where no corner is near, mm. */
const STEP = 0.1;

/** Where a dimension is taken hold of; both of them measure millimetres on the drawing. */
export interface Handle {
  z: number;
  r: number;
  along: boolean;
}

/** The end of a length that moves, the other one stays; the upper end of a diameter. */
export function handleOf(mark: Mark, outline: Outline): Handle | null {
  if (mark.kind === 'ACROSS') return { z: mark.z1, r: mark.r, along: false };
  if (mark.kind !== 'ALONG') return null;
  return { z: movingEnd(mark, outline) === 'from' ? mark.z1 : mark.z2, r: 0, along: true };
}

/** Lengths that end at the tip are counted from there. */
function movingEnd(mark: Mark, outline: Outline): 'from' | 'to' {
  const atTip = Math.abs(mark.z2 - outline.length) < 1e-6;
  return atTip && mark.z1 > 1e-6 ? 'from' : 'to';
}

/**
 * The size that a dimension has when its handle is at a place of the drawing, mm. A corner of the
 * contour that is near is meant exactly; elsewhere tenths are.
 *
 * @param corners z from the machine's end
 * @param scale pixels of a millimetre
 */
export function sizeAt(
  mark: Mark,
  outline: Outline,
  place: { z: number; r: number },
  corners: ContourPoint[],
  scale: number
): number {
  const reach = NEAR / scale;
  if (mark.kind === 'ACROSS') {
    const r = nearest(
      Math.abs(place.r),
      corners.map((corner) => corner.r),
      reach
    );
    return positive(r === undefined ? tenths(2 * Math.abs(place.r)) : exact(2 * r));
  }
  const fixed = movingEnd(mark, outline) === 'from' ? mark.z2 : mark.z1;
  const z = nearest(
    place.z,
    corners.map((corner) => corner.z),
    reach
  );
  return positive(z === undefined ? tenths(Math.abs(place.z - fixed)) : exact(Math.abs(z - fixed)));
}

/** The contour as it stands in the drawing: its workpiece end at the outline's. */
export function standing(contour: ContourPoint[], outline: Outline): ContourPoint[] {
  return contour.map(({ z, r }) => ({ z: outline.length - z, r }));
}

function nearest(value: number, known: number[], reach: number): number | undefined {
  let best: number | undefined;
  for (const one of known) {
    const distance = Math.abs(one - value);
    if (distance <= reach && (best === undefined || distance < Math.abs(best - value))) best = one;
  }
  return best;
}

function tenths(size: number): number {
  return Math.round(size / STEP) / Math.round(1 / STEP);
}

function exact(size: number): number {
  return Math.round(size * 1000) / 1000;
}

function positive(size: number): number {
  return Math.max(STEP, size);
}
