package arborline.core.solid.shape;

import java.util.ArrayList;
import java.util.List;
import java.util.function.IntBinaryOperator;

/**
 * A B-spline surface, rational where its weights differ.
 *
 * @param poles row by row: those of the first u first
 * @param weights one for each pole, in the same order
 */
public record SplineSurface(SplineBasis u, SplineBasis v, List<Vector3> poles, double[] weights)
    implements Surface {

  public SplineSurface {
    poles = List.copyOf(poles);
  }

  @Override
  public Vector3 at(double uAt, double vAt) {
    double a = u.within(uAt);
    double b = v.within(vAt);
    Sum sum = sum(a, b, u.weights(a), v.weights(b));
    return sum.point().times(1 / sum.total());
  }

  private record Sum(Vector3 point, double total) {}

  private Sum sum(double a, double b, double[] sharesU, double[] sharesV) {
    int firstU = u.firstPole(a);
    int firstV = v.firstPole(b);
    double x = 0;
    double y = 0;
    double z = 0;
    double total = 0;
    for (int i = 0; i < sharesU.length; i++) {
      for (int j = 0; j < sharesV.length; j++) {
        int pole = (firstU + i) * columns() + firstV + j;
        double share = sharesU[i] * sharesV[j] * weights[pole];
        Vector3 at = poles.get(pole);
        x += at.x() * share;
        y += at.y() * share;
        z += at.z() * share;
        total += share;
      }
    }
    return new Sum(new Vector3(x, y, z), total);
  }

  private int columns() {
    return v.poles();
  }

  @Override
  public Vector3 normal(double uAt, double vAt) {
    double a = u.within(uAt);
    double b = v.within(vAt);
    double[] sharesU = u.weights(a);
    double[] sharesV = v.weights(b);
    Sum here = sum(a, b, sharesU, sharesV);
    Vector3 alongU = slope(here, sum(a, b, u.slopes(a), sharesV));
    Vector3 alongV = slope(here, sum(a, b, sharesU, v.slopes(b)));
    return alongU.unit().cross(alongV.unit()).unit();
  }

  /** The derivative of a quotient, but for a factor above 0. */
  private static Vector3 slope(Sum here, Sum change) {
    return change.point().minus(here.point().times(change.total() / here.total()));
  }

  @Override
  public Patch patch(List<Vector3> boundary) {
    return new Patch(u.first(), u.last(), v.first(), v.last());
  }

  /** The curve along v that stands at one u. */
  public SplineCurve alongV(double uAt) {
    double a = u.within(uAt);
    int first = u.firstPole(a);
    double[] shares = u.weights(a);
    return iso(v, shares, (share, pole) -> (first + share) * columns() + pole);
  }

  /** The curve along u that stands at one v. */
  public SplineCurve alongU(double vAt) {
    double b = v.within(vAt);
    int first = v.firstPole(b);
    double[] shares = v.weights(b);
    return iso(u, shares, (share, pole) -> pole * columns() + first + share);
  }

  private SplineCurve iso(SplineBasis along, double[] shares, IntBinaryOperator index) {
    List<Vector3> points = new ArrayList<>();
    double[] totals = new double[along.poles()];
    for (int pole = 0; pole < totals.length; pole++) {
      Vector3 sum = Vector3.ZERO;
      for (int share = 0; share < shares.length; share++) {
        int at = index.applyAsInt(share, pole);
        sum = sum.plus(poles.get(at).times(shares[share] * weights[at]));
        totals[pole] += shares[share] * weights[at];
      }
      points.add(sum.times(1 / totals[pole]));
    }
    return new SplineCurve(along, points, totals);
  }
}
