import { Shape, Vector2 } from 'three';

/**
 * The stretches that a lathe turns about its axis, one by one so that shoulders stay sharp: a half
 * profile, closed at both ends.
 */
export function stretches(profile: { z: number; r: number }[]): Vector2[][] {
  const first = profile[0];
  const last = profile[profile.length - 1];
  const points = [
    new Vector2(0, first.z),
    ...profile.map((point) => new Vector2(point.r, point.z)),
    new Vector2(0, last.z)
  ];
  return points
    .slice(1)
    .map((to, index) => [points[index], to])
    .filter(([from, to]) => from.distanceTo(to) > 1e-6);
}

/** A flat part as what is pulled through its height: its polygon, with the axis upwards. */
export function plate(polygon: { z: number; r: number }[]): Shape {
  return new Shape(polygon.map(({ z, r }) => new Vector2(-r, z)));
}
