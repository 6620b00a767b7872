package arborline.core.solid;

/**
 * A piece of a circle around {@code (z0, r0)}.
 *
 * @param outer true for the half away from the axis
 */
record RoundPiece(double z0, double r0, double radius, boolean outer, double from, double to)
    implements ContourPiece {

  private static final double NEAR = 1e-5;

  @Override
  public double r(double z) {
    double rise = Math.sqrt(Math.max(0, radius * radius - (z - z0) * (z - z0)));
    return outer ? r0 + rise : r0 - rise;
  }

  @Override
  public RoundPiece between(double low, double high) {
    return new RoundPiece(z0, r0, radius, outer, low, high);
  }

  @Override
  public RoundPiece seenFrom(double zero, boolean backwards) {
    return backwards
        ? new RoundPiece(zero - z0, r0, radius, outer, zero - to, zero - from)
        : new RoundPiece(z0 - zero, r0, radius, outer, from - zero, to - zero);
  }

  @Override
  public boolean goesOnIn(ContourPiece next) {
    return next instanceof RoundPiece arc
        && outer == arc.outer
        && Math.hypot(z0 - arc.z0, r0 - arc.r0) < NEAR
        && Math.abs(radius - arc.radius) < NEAR;
  }

  @Override
  public RoundPiece joined(ContourPiece next) {
    return between(from, next.to());
  }
}
