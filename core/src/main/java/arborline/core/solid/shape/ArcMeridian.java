package arborline.core.solid.shape;

/** A circle around {@code (z0, r0)}; its parameter is the angle, 0 away from the axis. */
public record ArcMeridian(double z0, double r0, double radius) implements Meridian {

  @Override
  public double parameter(double z, double r) {
    return Math.atan2(z - z0, r - r0);
  }

  @Override
  public double z(double angle) {
    return z0 + radius * Math.sin(angle);
  }

  @Override
  public double r(double angle) {
    return Math.abs(r0 + radius * Math.cos(angle));
  }

  @Override
  public double period() {
    return 2 * Math.PI;
  }
}
