package arborline.core.solid;

import java.util.ArrayList;
import java.util.List;

/** How far points lie from a contour, arcs followed in small steps. */
final class ContourDistance {

  private static final int STEPS = 400;

  private ContourDistance() {}

  /** Corners, and points on arcs. */
  static List<double[]> points(List<ProfileElement> profile) {
    List<double[]> points = new ArrayList<>();
    for (ProfileElement element : profile) {
      switch (element) {
        case ProfileElement.Corner corner -> points.add(new double[] {corner.z(), corner.r()});
        case ProfileElement.Arc arc -> onArc(arc, points);
      }
    }
    return points;
  }

  private static void onArc(ProfileElement.Arc arc, List<double[]> points) {
    double dz = arc.z2() - arc.z1();
    double dr = arc.r2() - arc.r1();
    double chord = Math.hypot(dz, dr);
    double rise = Math.sqrt(Math.max(0, arc.radius() * arc.radius() - chord * chord / 4));
    double cz = (arc.z1() + arc.z2()) / 2 + rise * dr / chord;
    double cr = (arc.r1() + arc.r2()) / 2 - rise * dz / chord;
    double from = Math.atan2(arc.r1() - cr, arc.z1() - cz);
    double way = Math.IEEEremainder(Math.atan2(arc.r2() - cr, arc.z2() - cz) - from, 2 * Math.PI);
    for (int i = 0; i <= STEPS; i++) {
      double angle = from + way * i / STEPS;
      points.add(
          new double[] {cz + arc.radius() * Math.cos(angle), cr + arc.radius() * Math.sin(angle)});
    }
  }

  /** The greatest distance of a point from a contour. */
  static double of(List<ProfileElement> contour, List<double[]> points) {
    List<double[]> line = points(contour);
    return points.stream().mapToDouble(point -> nearest(line, point)).max().orElse(0);
  }

  private static double nearest(List<double[]> line, double[] point) {
    double least = Double.MAX_VALUE;
    for (int i = 0; i + 1 < line.size(); i++) {
      double[] a = line.get(i);
      double[] b = line.get(i + 1);
      double dz = b[0] - a[0];
      double dr = b[1] - a[1];
      double squared = dz * dz + dr * dr;
      double share =
          squared == 0
              ? 0
              : Math.clamp(((point[0] - a[0]) * dz + (point[1] - a[1]) * dr) / squared, 0.0, 1.0);
      least =
          Math.min(least, Math.hypot(point[0] - a[0] - share * dz, point[1] - a[1] - share * dr));
    }
    return least;
  }
}
