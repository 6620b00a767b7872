import type { SolidAnswer } from '$lib/api/client';

export interface ContourPoint {
  z: number;
  r: number;
}

/** Steps along an arc, so that it looks round. */
const STEPS = 24;

/** A contour as points, arcs followed in small steps; mm from the workpiece end. */
export function contourPoints(profile: SolidAnswer['profile']): ContourPoint[] {
  return profile.flatMap((element) =>
    element.kind === 'arc'
      ? arcPoints(
          { z: element.z1!, r: element.r1! },
          { z: element.z2!, r: element.r2! },
          element.radius!
        )
      : [{ z: element.z!, r: element.r! }]
  );
}

/** An arc that bulges away from the axis. */
function arcPoints(from: ContourPoint, to: ContourPoint, radius: number): ContourPoint[] {
  const dz = to.z - from.z;
  const dr = to.r - from.r;
  const chord = Math.hypot(dz, dr);
  const rise = Math.sqrt(Math.max(0, radius * radius - (chord * chord) / 4));
  const z = (from.z + to.z) / 2 + (rise * dr) / chord;
  const r = (from.r + to.r) / 2 - (rise * dz) / chord;
  const start = Math.atan2(from.r - r, from.z - z);
  const turn = Math.atan2(to.r - r, to.z - z) - start;
  // Less than half a circle: the shorter way around.
  const way = turn - 2 * Math.PI * Math.round(turn / (2 * Math.PI));
  return Array.from({ length: STEPS + 1 }, (_, step) => {
    const angle = start + (way * step) / STEPS;
    return { z: z + radius * Math.cos(angle), r: r + radius * Math.sin(angle) };
  });
}
