package arborline.core.solid;

import arborline.core.solid.shape.Surface;
import arborline.core.solid.shape.Vector3;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * Where on its surface a face lies: on the left of its boundary, seen from outside. An edge along
 * which a face meets itself bounds nothing.
 */
final class FaceRegion {

  private static final int FINER = 2;

  /** On the boundary counts as within: so near, and by so much of the way to the next sample. */
  private static final double NEAR = 1e-6;

  private static final double BESIDE = 1e-3;

  /** A point of the boundary, and the direction from it into the face. */
  private record Side(Vector3 point, Vector3 inward) {}

  private final Surface surface;
  private final double sense;
  private final List<Side> sides = new ArrayList<>();

  FaceRegion(Face face) {
    this.surface = face.surface();
    this.sense = face.outward() ? 1 : -1;
    Map<Edge, Integer> uses = new HashMap<>();
    face.edges().forEach(use -> uses.merge(use.edge(), 1, Integer::sum));
    for (EdgeUse use : face.edges()) {
      if (uses.get(use.edge()) == 1) {
        add(use);
      }
    }
  }

  private void add(EdgeUse use) {
    int pieces = use.edge().pieces() * FINER;
    for (int i = 0; i < pieces; i++) {
      double share = (i + 0.5) / pieces;
      Vector3 point = use.at(share);
      Vector3 normal = SurfaceNormals.at(surface, point).times(sense);
      sides.add(new Side(point, normal.cross(use.tangent(share))));
    }
  }

  /** True where a point of the surface lies within the face or on its boundary. */
  boolean contains(Vector3 point) {
    Side nearest = null;
    double least = Double.MAX_VALUE;
    for (Side side : sides) {
      Vector3 from = point.minus(side.point());
      double squared = from.dot(from);
      if (squared < least) {
        least = squared;
        nearest = side;
      }
    }
    if (nearest == null) {
      return true;
    }
    double beside = Math.sqrt(least) * BESIDE + NEAR;
    return point.minus(nearest.point()).dot(nearest.inward()) > -beside;
  }
}
