package arborline.core.solid.shape;

/** A curve of any kind beside an axis, between two of its parameters. */
public record SampledMeridian(Curve curve, Axis axis, double from, double to) implements Meridian {

  private static final int STARTS = 64;
  private static final int STEPS = 40;

  @Override
  public double parameter(double z, double r) {
    double step = (to - from) / STARTS;
    double best = from;
    for (int i = 1; i <= STARTS; i++) {
      if (off(from + i * step, z, r) < off(best, z, r)) {
        best = from + i * step;
      }
    }
    return nearest(z, r, Math.max(from, best - step), Math.min(to, best + step));
  }

  private double nearest(double z, double r, double low, double high) {
    double share = (Math.sqrt(5) - 1) / 2;
    for (int i = 0; i < STEPS; i++) {
      double left = high - share * (high - low);
      double right = low + share * (high - low);
      if (off(left, z, r) < off(right, z, r)) {
        high = right;
      } else {
        low = left;
      }
    }
    return (low + high) / 2;
  }

  private double off(double parameter, double z, double r) {
    return Math.hypot(z(parameter) - z, r(parameter) - r);
  }

  @Override
  public double z(double parameter) {
    return axis.z(curve.at(parameter));
  }

  @Override
  public double r(double parameter) {
    return axis.r(curve.at(parameter));
  }

  @Override
  public double period() {
    return 0;
  }
}
