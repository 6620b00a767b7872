package arborline.core.solid;

import arborline.core.solid.shape.Axis;
import arborline.core.solid.shape.Plane;
import arborline.core.solid.shape.Vector3;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.DoubleSummaryStatistics;
import java.util.List;

/**
 * Flat faces around an axis that lie equally far from it, mm.
 *
 * @param count one flat, two across from each other, a square's four, a hexagon's six, or others
 * @param distance of each from the axis
 * @param from where they begin along the axis, from the workpiece end
 */
public record Flats(int count, double distance, double from, double to) {

  private static final double ALONG = 1e-6;
  private static final double SAME = 1e-3;

  /** Faces nearer to the axis than this share of the corner's distance are walls of flutes. */
  private static final double SHARE = 0.5;

  private record Flat(double distance, double from, double to) {}

  /** Those of bodies, from the workpiece end on. */
  static List<Flats> of(List<Body> bodies, Axis axis) {
    List<Flat> flats = new ArrayList<>();
    for (Body body : bodies) {
      Axis local = Generators.local(body, axis);
      for (Face face : body.faces()) {
        if (face.surface() instanceof Plane plane && !face.edges().isEmpty()) {
          add(flats, face, plane, local);
        }
      }
    }
    flats.sort(Comparator.comparingDouble(Flat::from).thenComparingDouble(Flat::distance));
    List<Flats> groups = new ArrayList<>();
    for (Flat flat : flats) {
      Flats last = groups.isEmpty() ? null : groups.getLast();
      boolean same =
          last != null
              && Math.abs(last.distance() - flat.distance()) < SAME
              && Math.abs(last.from() - flat.from()) < SAME
              && Math.abs(last.to() - flat.to()) < SAME;
      if (same) {
        groups.removeLast();
        groups.add(new Flats(last.count() + 1, last.distance(), last.from(), last.to()));
      } else {
        groups.add(new Flats(1, flat.distance(), flat.from(), flat.to()));
      }
    }
    return groups;
  }

  private static void add(List<Flat> flats, Face face, Plane plane, Axis axis) {
    Vector3 normal = plane.frame().z().times(face.outward() ? 1 : -1);
    if (Math.abs(normal.dot(axis.direction())) > ALONG) {
      return;
    }
    double distance = plane.frame().origin().minus(axis.origin()).dot(normal);
    DoubleSummaryStatistics z = new DoubleSummaryStatistics();
    double corner = 0;
    for (EdgeUse use : face.edges()) {
      for (double share : new double[] {0, 0.5}) {
        z.accept(axis.z(use.at(share)));
        corner = Math.max(corner, axis.r(use.at(share)));
      }
    }
    if (distance > SHARE * corner) {
      flats.add(new Flat(distance, z.getMin(), z.getMax()));
    }
  }
}
