package arborline.core.solid.shape;

import java.util.List;

/**
 * A B-spline curve, rational where its weights differ.
 *
 * @param weights one for each pole
 */
public record SplineCurve(SplineBasis basis, List<Vector3> poles, double[] weights)
    implements Curve {

  private static final int STARTS = 64;
  private static final int STEPS = 40;

  public SplineCurve {
    poles = List.copyOf(poles);
  }

  @Override
  public Vector3 at(double parameter) {
    double t = basis.within(parameter);
    int first = basis.firstPole(t);
    double[] shares = basis.weights(t);
    Vector3 sum = Vector3.ZERO;
    double total = 0;
    for (int i = 0; i < shares.length; i++) {
      double share = shares[i] * weights[first + i];
      sum = sum.plus(poles.get(first + i).times(share));
      total += share;
    }
    return sum.times(1 / total);
  }

  public boolean closed() {
    return at(basis.first()).distance(at(basis.last())) < 1e-6;
  }

  @Override
  public double parameter(Vector3 point) {
    double step = (basis.last() - basis.first()) / STARTS;
    double best = basis.first();
    double least = Double.MAX_VALUE;
    for (int i = 0; i <= STARTS; i++) {
      double t = basis.first() + i * step;
      double distance = at(t).distance(point);
      if (distance < least - 1e-12) {
        least = distance;
        best = t;
      }
    }
    return least < 1e-7 ? best : nearest(point, best - step, best + step);
  }

  /** By golden section: the distance has one least value between neighbours. */
  private double nearest(Vector3 point, double from, double to) {
    double share = (Math.sqrt(5) - 1) / 2;
    double low = basis.within(from);
    double high = basis.within(to);
    for (int i = 0; i < STEPS; i++) {
      double left = high - share * (high - low);
      double right = low + share * (high - low);
      if (at(left).distance(point) < at(right).distance(point)) {
        high = right;
      } else {
        low = left;
      }
    }
    return (low + high) / 2;
  }
}
