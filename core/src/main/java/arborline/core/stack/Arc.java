package arborline.core.stack;

import arborline.core.tool.outline.Point;
import java.util.List;
import java.util.Optional;

/**
 * A run of points of a half profile that lie on one circle.
 *
 * @param to index of its last point
 * @param z of its centre, mm
 * @param r of its centre, mm from the axis
 * @param radius mm
 */
record Arc(int to, double z, double r, double radius) {

  private static final int FEWEST = 4;
  private static final double SAME = 1e-6;
  private static final double ROUNDING = 1e-9;

  /** Points of an arc follow each other within this angle, radians; corners of a groove do not. */
  private static final double STEP = Math.toRadians(30);

  /** The longest arc that begins at a point; nothing where fewer than four points make one. */
  static Optional<Arc> from(List<Point> profile, int from) {
    if (from + FEWEST > profile.size()) {
      return Optional.empty();
    }
    return through(profile.get(from), profile.get(from + 1), profile.get(from + 2))
        .map(circle -> circle.extended(profile, from + 2))
        .filter(arc -> arc.to >= from + FEWEST - 1)
        .filter(arc -> arc.smallSteps(profile, from));
  }

  private Arc extended(List<Point> profile, int known) {
    int last = known;
    while (last + 1 < profile.size()
        && profile.get(last + 1).z() > profile.get(last).z()
        && holds(profile.get(last + 1))) {
      last++;
    }
    return new Arc(last, z, r, radius);
  }

  private boolean smallSteps(List<Point> profile, int from) {
    for (int i = from; i < to; i++) {
      Point a = profile.get(i);
      Point b = profile.get(i + 1);
      if (Math.hypot(b.z() - a.z(), b.r() - a.r()) > 2 * radius * Math.sin(STEP / 2)) {
        return false;
      }
    }
    return true;
  }

  private boolean holds(Point point) {
    return Math.abs(Math.hypot(point.z() - z, point.r() - r) - radius) <= SAME + ROUNDING * radius;
  }

  private static Optional<Arc> through(Point a, Point b, Point c) {
    double twice =
        2 * (a.z() * (b.r() - c.r()) + b.z() * (c.r() - a.r()) + c.z() * (a.r() - b.r()));
    if (Math.abs(twice) < 1e-12 || a.z() >= b.z() || b.z() >= c.z()) {
      return Optional.empty();
    }
    double one = a.z() * a.z() + a.r() * a.r();
    double two = b.z() * b.z() + b.r() * b.r();
    double three = c.z() * c.z() + c.r() * c.r();
    double z = (one * (b.r() - c.r()) + two * (c.r() - a.r()) + three * (a.r() - b.r())) / twice;
    double r = (one * (c.z() - b.z()) + two * (a.z() - c.z()) + three * (b.z() - a.z())) / twice;
    return Optional.of(new Arc(0, z, r, Math.hypot(a.z() - z, a.r() - r)));
  }

  /** True where it bulges out of the material. */
  boolean convex(Point begin, Point end) {
    return (begin.z() - z) * (end.r() - r) - (begin.r() - r) * (end.z() - z) < 0;
  }

  /** True where it is part of a sphere on the axis or of a tube around it. */
  boolean around() {
    return r > -SAME;
  }

  boolean onAxis() {
    return Math.abs(r) <= SAME;
  }
}
