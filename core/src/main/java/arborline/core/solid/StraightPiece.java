package arborline.core.solid;

/** A straight piece from {@code (from, r0)} to {@code (to, r1)}. */
record StraightPiece(double from, double r0, double to, double r1) implements ContourPiece {

  private static final double NEAR = 1e-5;

  @Override
  public double r(double z) {
    return to - from < 1e-12 ? Math.max(r0, r1) : r0 + (r1 - r0) * (z - from) / (to - from);
  }

  @Override
  public StraightPiece between(double low, double high) {
    return new StraightPiece(low, r(low), high, r(high));
  }

  @Override
  public StraightPiece seenFrom(double zero, boolean backwards) {
    return backwards
        ? new StraightPiece(zero - to, r1, zero - from, r0)
        : new StraightPiece(from - zero, r0, to - zero, r1);
  }

  @Override
  public boolean goesOnIn(ContourPiece next) {
    return next instanceof StraightPiece line
        && Math.abs(r1 - line.r0) < NEAR
        && Math.abs(joined(line).r(to) - r1) < NEAR;
  }

  @Override
  public StraightPiece joined(ContourPiece next) {
    return new StraightPiece(from, r0, next.to(), next.r(next.to()));
  }
}
