import type { Body, Outline } from '$lib/api/client';

/** The outline of cylinders and cones behind one another. */
export function profileOf(bodies: Body[]): Outline | null {
  const profile: { z: number; r: number }[] = [];
  let z = 0;
  for (const body of bodies) {
    profile.push({ z, r: body.from / 2 });
    z += body.length;
    profile.push({ z, r: body.to / 2 });
  }
  return z > 0
    ? {
        length: z,
        diameter: Math.max(...profile.map((point) => 2 * point.r)),
        parts: [{ kind: 'BODY', profile, flat: false }],
        marks: []
      }
    : null;
}
