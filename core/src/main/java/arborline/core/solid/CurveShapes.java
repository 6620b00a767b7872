package arborline.core.solid;

import arborline.core.solid.shape.Curve;
import arborline.core.solid.shape.Ellipse;
import arborline.core.solid.shape.Line;
import arborline.core.solid.shape.Placement;
import arborline.core.solid.shape.SplineCurve;
import arborline.core.solid.shape.Vector3;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Recognises straight lines and circles that are written as splines. */
final class CurveShapes {

  private static final int SAMPLES = 24;
  private static final double NEAR = 1e-6;

  private CurveShapes() {}

  static Curve simplest(SplineCurve spline) {
    List<Vector3> points = samples(spline, spline.basis().first(), spline.basis().last());
    return straight(points).<Curve>map(line -> line).or(() -> circle(points)).orElse(spline);
  }

  /** Points of a curve at even steps of its parameter. */
  static List<Vector3> samples(Curve curve, double from, double to) {
    List<Vector3> points = new ArrayList<>();
    for (int i = 0; i <= SAMPLES; i++) {
      points.add(curve.at(from + (to - from) * i / SAMPLES));
    }
    return points;
  }

  static Optional<Line> straight(List<Vector3> points) {
    Vector3 first = points.getFirst();
    Vector3 along = points.getLast().minus(first);
    if (along.length() < NEAR) {
      return Optional.empty();
    }
    Line line = new Line(first, along);
    boolean on =
        points.stream().allMatch(point -> line.at(line.parameter(point)).distance(point) < NEAR);
    return on ? Optional.of(line) : Optional.empty();
  }

  /** The circle on which points lie, in the sense in which they follow each other. */
  static Optional<Ellipse> circle(List<Vector3> points) {
    Vector3 a = points.getFirst();
    Vector3 b = points.get(points.size() / 3);
    Vector3 c = points.get(2 * points.size() / 3);
    Vector3 ab = b.minus(a);
    Vector3 ac = c.minus(a);
    Vector3 normal = ab.cross(ac);
    double squared = normal.dot(normal);
    if (squared < 1e-18 || normal.length() < 1e-6 * ab.length() * ac.length()) {
      return Optional.empty();
    }
    Vector3 toCentre =
        normal
            .cross(ab)
            .times(ac.dot(ac))
            .plus(ac.cross(normal).times(ab.dot(ab)))
            .times(1 / (2 * squared));
    Vector3 centre = a.plus(toCentre);
    double radius = toCentre.length();
    Vector3 axis = normal.unit();
    boolean on =
        points.stream()
            .map(point -> point.minus(centre))
            .allMatch(
                arm -> Math.abs(arm.length() - radius) < NEAR && Math.abs(arm.dot(axis)) < NEAR);
    return on
        ? Optional.of(Ellipse.circle(Placement.of(centre, axis, a.minus(centre)), radius))
        : Optional.empty();
  }
}
