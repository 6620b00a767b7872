package arborline.core.solid.shape;

import java.util.DoubleSummaryStatistics;
import java.util.List;

/** A curve drawn along a direction; u is the curve's parameter, v mm along. */
public record Extruded(Curve curve, Vector3 along, double from, double to) implements Surface {

  private static final double STEP = 1e-6;

  public Extruded {
    along = along.unit();
  }

  @Override
  public Vector3 at(double u, double v) {
    return curve.at(u).plus(along.times(v));
  }

  @Override
  public Vector3 normal(double u, double v) {
    double step = Math.max(STEP, (to - from) * STEP);
    Vector3 tangent = curve.at(Math.min(u + step, to)).minus(curve.at(Math.max(u - step, from)));
    return tangent.unit().cross(along).unit();
  }

  @Override
  public Patch patch(List<Vector3> boundary) {
    Vector3 middle = curve.at((from + to) / 2);
    DoubleSummaryStatistics lift =
        boundary.stream().mapToDouble(point -> point.minus(middle).dot(along)).summaryStatistics();
    double reach = curve.at(from).distance(curve.at(to));
    return new Patch(from, to, lift.getMin() - reach, lift.getMax() + reach);
  }
}
