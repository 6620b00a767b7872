package arborline.core.solid.shape;

/**
 * The functions by which a spline weighs its poles. Source: ISO 10303-42, B-spline curves; the
 * recurrence of Cox and de Boor.
 */
public final class SplineBasis {

  /** No higher one is in use. */
  public static final int MOST_DEGREE = 25;

  private final int degree;
  private final double[] knots;
  private final int poles;

  /**
   * Knots repeated as often as they count.
   *
   * @throws IllegalArgumentException where they do not fit, or do not rise
   */
  public SplineBasis(int degree, double[] knots, int poles) {
    if (degree < 1
        || degree > MOST_DEGREE
        || poles <= degree
        || knots.length != poles + degree + 1) {
      throw new IllegalArgumentException(
          "%d poles of degree %d need %d knots and not %d"
              .formatted(poles, degree, poles + degree + 1, knots.length));
    }
    for (int i = 1; i < knots.length; i++) {
      if (!(knots[i] >= knots[i - 1])) {
        throw new IllegalArgumentException("the knots do not rise");
      }
    }
    if (!(knots[poles] > knots[degree])) {
      throw new IllegalArgumentException("the knots span nothing");
    }
    this.degree = degree;
    this.knots = knots.clone();
    this.poles = poles;
  }

  int poles() {
    return poles;
  }

  public int degree() {
    return degree;
  }

  public double first() {
    return knots[degree];
  }

  public double last() {
    return knots[poles];
  }

  public double within(double parameter) {
    return Math.clamp(parameter, first(), last());
  }

  /** The index of the first pole that counts at a parameter. */
  int firstPole(double parameter) {
    int low = degree;
    int high = poles;
    while (high - low > 1) {
      int middle = (low + high) >>> 1;
      if (parameter < knots[middle]) {
        high = middle;
      } else {
        low = middle;
      }
    }
    while (low > degree && knots[low] == knots[low + 1]) {
      low--;
    }
    return low - degree;
  }

  /** The weights of {@code degree + 1} poles, from the first that counts. */
  double[] weights(double parameter) {
    return weights(firstPole(parameter) + degree, parameter, degree);
  }

  /** How fast these weights change with the parameter. */
  double[] slopes(double parameter) {
    int span = firstPole(parameter) + degree;
    double[] lower = weights(span, parameter, degree - 1);
    double[] slopes = new double[degree + 1];
    for (int i = 0; i < degree; i++) {
      double part = degree * lower[i] / (knots[span + 1 + i] - knots[span + 1 + i - degree]);
      slopes[i] -= part;
      slopes[i + 1] += part;
    }
    return slopes;
  }

  private double[] weights(int span, double parameter, int order) {
    double[] weights = new double[order + 1];
    double[] left = new double[order + 1];
    double[] right = new double[order + 1];
    weights[0] = 1;
    for (int j = 1; j <= order; j++) {
      left[j] = parameter - knots[span + 1 - j];
      right[j] = knots[span + j] - parameter;
      double saved = 0;
      for (int i = 0; i < j; i++) {
        double part = weights[i] / (right[i + 1] + left[j - i]);
        weights[i] = saved + right[i + 1] * part;
        saved = left[j - i] * part;
      }
      weights[j] = saved;
    }
    return weights;
  }
}
