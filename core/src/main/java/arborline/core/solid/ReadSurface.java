package arborline.core.solid;

import arborline.core.solid.shape.Surface;
import arborline.core.solid.shape.Torus;
import arborline.core.solid.shape.Vector3;
import java.util.List;

/**
 * A surface in its simplest form.
 *
 * @param written as it stands in the file; the normals of the two may point different ways
 */
record ReadSurface(Surface surface, Surface written) {

  private static final double CLEAR = 0.5;

  static ReadSurface asWritten(Surface surface) {
    return new ReadSurface(surface, surface);
  }

  /**
   * The same with the part of a torus that meets itself on which points lie: the outer, or the
   * inner, whose tube has its middle beyond the axis.
   */
  ReadSurface through(List<Vector3> points) {
    if (!(surface instanceof Torus torus) || torus.major() >= torus.minor()) {
      return this;
    }
    Torus inner = new Torus(torus.frame(), -torus.major(), torus.minor());
    if (off(torus, points) <= off(inner, points)) {
      return this;
    }
    return new ReadSurface(inner, surface == written ? inner : written);
  }

  private static double off(Torus torus, List<Vector3> points) {
    return points.stream()
        .map(torus.frame()::local)
        .mapToDouble(point -> {
          double r = Math.hypot(point.x(), point.y());
          return Math.abs(Math.hypot(r - torus.major(), point.z()) - torus.minor());
        })
        .sum();
  }

  /** True where the simple form's normal points the other way than the written one's, there. */
  boolean turned(List<Vector3> there) {
    if (surface == written) {
      return false;
    }
    for (Vector3 point : there) {
      double agreement = SurfaceNormals.at(surface, point).dot(SurfaceNormals.at(written, point));
      if (Math.abs(agreement) > CLEAR) {
        return agreement < 0;
      }
    }
    return false;
  }
}
