package arborline.core.solid;

import arborline.core.solid.shape.Ellipse;
import arborline.core.solid.shape.Line;
import arborline.core.solid.shape.Patch;
import arborline.core.solid.shape.Placement;
import arborline.core.solid.shape.Plane;
import arborline.core.solid.shape.Vector3;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;

/**
 * How far bodies reach along three directions at right angles, mm.
 *
 * @param frame whose directions these are
 */
record Extents(Placement frame, Vector3 low, Vector3 high) {

  private static final int GRID = 16;
  private static final double PARALLEL = 1e-4;
  private static final int MOST_DIRECTIONS = 12;

  Vector3 size() {
    return high.minus(low);
  }

  private double volume() {
    return size().x() * size().y() * size().z();
  }

  /** Along the file's own directions. */
  static Extents alongFile(List<Body> bodies) {
    return along(bodies, Placement.IDENTITY);
  }

  /**
   * Along the bodies' own directions: the box of least volume that stands on their largest flat
   * face, with a side along another flat face.
   */
  static Extents own(List<Body> bodies) {
    List<Normal> normals = normals(bodies);
    if (normals.isEmpty()) {
      return alongFile(bodies);
    }
    Vector3 first = normals.getFirst().direction();
    Extents best = null;
    for (Normal other : normals) {
      Vector3 across = other.direction().minus(first.times(other.direction().dot(first)));
      if (across.length() < 0.1) {
        continue;
      }
      Extents box = along(bodies, Placement.of(Vector3.ZERO, first, across));
      best = best == null || box.volume() < best.volume() - 1e-9 ? box : best;
    }
    return best == null
        ? along(bodies, Placement.of(Vector3.ZERO, first, first.anyAcross()))
        : best;
  }

  private record Normal(Vector3 direction, double area) {}

  /** Directions in which flat faces look, the largest faces first. */
  private static List<Normal> normals(List<Body> bodies) {
    List<Normal> found = new ArrayList<>();
    for (Body body : bodies) {
      for (Face face : body.faces()) {
        if (face.surface() instanceof Plane plane) {
          add(found, body.placement().direction(plane.frame().z()), area(face));
        }
      }
    }
    found.sort(Comparator.comparingDouble(Normal::area).reversed());
    return found.subList(0, Math.min(MOST_DIRECTIONS, found.size()));
  }

  private static void add(List<Normal> normals, Vector3 direction, double area) {
    for (int i = 0; i < normals.size(); i++) {
      if (normals.get(i).direction().cross(direction).length() < PARALLEL) {
        normals.set(i, new Normal(normals.get(i).direction(), normals.get(i).area() + area));
        return;
      }
    }
    normals.add(new Normal(direction, area));
  }

  /** The area of a flat face, by its boundary. */
  private static double area(Face face) {
    Vector3 sum = Vector3.ZERO;
    Vector3 reference = face.edges().isEmpty() ? Vector3.ZERO : face.edges().getFirst().at(0);
    for (EdgeUse use : face.edges()) {
      int pieces = use.edge().pieces();
      for (int i = 0; i < pieces; i++) {
        Vector3 a = use.at((double) i / pieces).minus(reference);
        Vector3 b = use.at((double) (i + 1) / pieces).minus(reference);
        sum = sum.plus(a.cross(b));
      }
    }
    return sum.length() / 2;
  }

  private static Extents along(List<Body> bodies, Placement frame) {
    Bounds bounds = new Bounds(frame);
    for (Body body : bodies) {
      bounds.body(body);
    }
    return new Extents(frame, bounds.low(), bounds.high());
  }

  /** The least and greatest coordinates of points in a frame. */
  private static final class Bounds {
    private final Placement frame;
    private final double[] low = {Double.MAX_VALUE, Double.MAX_VALUE, Double.MAX_VALUE};
    private final double[] high = {-Double.MAX_VALUE, -Double.MAX_VALUE, -Double.MAX_VALUE};

    Bounds(Placement frame) {
      this.frame = frame;
    }

    /** Each edge once, though at least two faces share it. */
    void body(Body body) {
      Set<Edge> reached = noEdges();
      for (Face face : body.faces()) {
        fresh(face, reached).forEach(edge -> edge(body.placement(), edge));
        face(body.placement(), face);
      }
    }

    private void face(Placement placement, Face face) {
      if (face.surface() instanceof Plane) {
        return;
      }
      List<Vector3> boundary = new ArrayList<>();
      fresh(face, noEdges()).forEach(edge -> boundary.addAll(points(edge)));
      if (!boundary.isEmpty()) {
        inner(placement, face, boundary);
      }
    }

    private static Set<Edge> noEdges() {
      return Collections.newSetFromMap(new IdentityHashMap<>());
    }

    /** The edges of a face that were not met before. */
    private static Stream<Edge> fresh(Face face, Set<Edge> met) {
      return face.edges().stream().map(EdgeUse::edge).filter(met::add);
    }

    private void edge(Placement placement, Edge edge) {
      points(edge).forEach(point -> point(placement.point(point)));
      if (edge.curve() instanceof Ellipse ellipse) {
        extremes(placement, edge, ellipse);
      }
    }

    private static List<Vector3> points(Edge edge) {
      int pieces = edge.curve() instanceof Line ? 1 : edge.pieces() * 2;
      List<Vector3> points = new ArrayList<>(pieces + 1);
      for (int i = 0; i <= pieces; i++) {
        points.add(edge.at((double) i / pieces));
      }
      return points;
    }

    /** Where an ellipse reaches farthest along each direction, if the edge comes there. */
    private void extremes(Placement placement, Edge edge, Ellipse ellipse) {
      for (Vector3 direction : List.of(frame.x(), frame.y(), frame.z())) {
        Vector3 local = placement.localDirection(direction);
        double angle =
            Math.atan2(
                ellipse.b() * ellipse.frame().y().dot(local),
                ellipse.a() * ellipse.frame().x().dot(local));
        for (double at : new double[] {angle, angle + Math.PI}) {
          if (edge.passes(at)) {
            point(placement.point(ellipse.at(at)));
          }
        }
      }
    }

    /** Points within a bent face, where it reaches out farther than its boundary. */
    private void inner(Placement placement, Face face, List<Vector3> boundary) {
      Patch patch = face.surface().patch(boundary);
      FaceRegion region = new FaceRegion(face);
      for (int i = 0; i <= GRID; i++) {
        for (int j = 0; j <= GRID; j++) {
          Vector3 point = face.surface().at(patch.u((double) i / GRID), patch.v((double) j / GRID));
          if (outside(placement.point(point)) && region.contains(point)) {
            point(placement.point(point));
          }
        }
      }
    }

    private boolean outside(Vector3 point) {
      double[] at = coordinates(point);
      for (int i = 0; i < 3; i++) {
        if (at[i] < low[i] || at[i] > high[i]) {
          return true;
        }
      }
      return false;
    }

    private void point(Vector3 point) {
      double[] at = coordinates(point);
      for (int i = 0; i < 3; i++) {
        low[i] = Math.min(low[i], at[i]);
        high[i] = Math.max(high[i], at[i]);
      }
    }

    private double[] coordinates(Vector3 point) {
      Vector3 local = frame.local(point);
      return new double[] {local.x(), local.y(), local.z()};
    }

    Vector3 low() {
      return new Vector3(low[0], low[1], low[2]);
    }

    Vector3 high() {
      return new Vector3(high[0], high[1], high[2]);
    }
  }
}
