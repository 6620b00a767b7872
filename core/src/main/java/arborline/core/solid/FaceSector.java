package arborline.core.solid;

import arborline.core.solid.shape.Axis;
import arborline.core.solid.shape.Vector3;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;

/** How far faces go around an axis. */
final class FaceSector {

  /** Points of a boundary lie nearer to each other than this where the face goes on. */
  private static final double GAP = Math.toRadians(15);

  private static final double ON_AXIS = 1e-6;

  private FaceSector() {}

  static Sector of(Face face, Axis axis) {
    for (EdgeUse use : face.edges()) {
      if (use.edge().circle(axis)) {
        return Sector.WHOLE;
      }
    }
    Vector3 x = axis.direction().anyAcross();
    Vector3 y = axis.direction().cross(x);
    List<Double> angles = new ArrayList<>();
    for (EdgeUse use : face.edges()) {
      int pieces = use.edge().pieces();
      for (int i = 0; i <= pieces; i++) {
        Vector3 point = use.edge().at((double) i / pieces);
        if (axis.r(point) > ON_AXIS) {
          Vector3 out = axis.outward(point);
          angles.add(Math.atan2(out.dot(y), out.dot(x)));
        }
      }
    }
    return around(angles);
  }

  private static Sector around(List<Double> angles) {
    if (angles.isEmpty()) {
      return Sector.WHOLE;
    }
    Collections.sort(angles);
    double widest = angles.getFirst() + 2 * Math.PI - angles.getLast();
    double from = angles.getFirst();
    for (int i = 1; i < angles.size(); i++) {
      double gap = angles.get(i) - angles.get(i - 1);
      if (gap > widest) {
        widest = gap;
        from = angles.get(i);
      }
    }
    return widest < GAP ? Sector.WHOLE : new Sector(from, 2 * Math.PI - widest);
  }

  /** The widest angle around the axis that none of these covers. */
  static double widestGap(List<Sector> sectors) {
    List<Sector> sorted =
        sectors.stream().sorted(java.util.Comparator.comparingDouble(Sector::from)).toList();
    if (sorted.isEmpty()) {
      return 2 * Math.PI;
    }
    double reached = sorted.getFirst().from();
    double widest = 0;
    for (Sector sector : sorted) {
      widest = Math.max(widest, sector.from() - reached);
      reached = Math.max(reached, sector.from() + sector.extent());
    }
    return Math.max(widest, sorted.getFirst().from() + 2 * Math.PI - reached);
  }
}
