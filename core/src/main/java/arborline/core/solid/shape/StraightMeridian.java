package arborline.core.solid.shape;

/**
 * A straight line through {@code (z0, r0)}; its parameter is mm along {@code (dz, dr)}, which has
 * length 1. A cone goes on behind its point.
 */
public record StraightMeridian(double z0, double r0, double dz, double dr) implements Meridian {

  @Override
  public double parameter(double z, double r) {
    double near = (z - z0) * dz + (r - r0) * dr;
    double behind = (z - z0) * dz + (-r - r0) * dr;
    return off(near, z, r) <= off(behind, z, r) ? near : behind;
  }

  private double off(double parameter, double z, double r) {
    return Math.hypot(z(parameter) - z, r(parameter) - r);
  }

  @Override
  public double z(double parameter) {
    return z0 + parameter * dz;
  }

  @Override
  public double r(double parameter) {
    return Math.abs(r0 + parameter * dr);
  }
}
