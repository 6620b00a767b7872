package arborline.core.solid;

import arborline.core.solid.shape.Axis;
import arborline.core.solid.shape.Closeness;
import arborline.core.solid.shape.Curve;
import arborline.core.solid.shape.Ellipse;
import arborline.core.solid.shape.Vector3;

/**
 * A piece of a curve.
 *
 * @param from parameter at its start; it may lie above {@code to}
 */
record Edge(Curve curve, double from, double to, Vector3 start, Vector3 end) {

  /** The piece between two points, in the curve's sense or against it. */
  static Edge between(Curve curve, Vector3 start, Vector3 end, boolean along) {
    boolean closed = start.distance(end) < 1e-9;
    double from = curve.parameter(start);
    double period = curve.period();
    if (period > 0) {
      double to = closed ? from : curve.parameter(end);
      if (along && to <= from + 1e-12) {
        to += period;
      } else if (!along && to >= from - 1e-12) {
        to -= period;
      }
      return new Edge(curve, from, to, start, end);
    }
    if (closed && curve instanceof arborline.core.solid.shape.SplineCurve spline) {
      double first = spline.basis().first();
      double last = spline.basis().last();
      return along
          ? new Edge(curve, first, last, start, end)
          : new Edge(curve, last, first, start, end);
    }
    return new Edge(curve, from, curve.parameter(end), start, end);
  }

  /** The point at a share of the way, from 0 to 1; the ends exactly as they are written. */
  Vector3 at(double share) {
    return share <= 0 ? start : share >= 1 ? end : curve.at(from + (to - from) * share);
  }

  /** The direction in which it runs at a share of the way, of length 1. */
  Vector3 tangent(double share) {
    double step = 1e-5;
    Vector3 before = curve.at(from + (to - from) * Math.max(0, share - step));
    Vector3 behind = curve.at(from + (to - from) * Math.min(1, share + step));
    return behind.minus(before).unit();
  }

  /** How many pieces follow its bends well. */
  int pieces() {
    return switch (curve) {
      case arborline.core.solid.shape.Line line -> 4;
      case Ellipse ellipse ->
          Math.clamp((int) Math.ceil(Math.abs(to - from) / (2 * Math.PI) * 48), 4, 48);
      case arborline.core.solid.shape.Polyline polyline ->
          Math.clamp((int) Math.ceil(Math.abs(to - from)), 1, 200);
      default -> 32;
    };
  }

  /** True where it passes the point of its curve with a parameter. */
  boolean passes(double parameter) {
    double low = Math.min(from, to);
    double high = Math.max(from, to);
    double period = curve.period();
    double at = period == 0 ? parameter : low + floorMod(parameter - low, period);
    return at >= low && at <= high;
  }

  private static double floorMod(double value, double period) {
    return value - period * Math.floor(value / period);
  }

  /** True for a piece of a circle around an axis. */
  boolean around(Axis axis) {
    return curve instanceof Ellipse ellipse
        && ellipse.round()
        && Closeness.AXES.same(axis, ellipse.frame().axis());
  }

  /** True for a whole circle around an axis. */
  boolean circle(Axis axis) {
    return around(axis) && Math.abs(to - from) > curve.period() - 1e-9;
  }
}
