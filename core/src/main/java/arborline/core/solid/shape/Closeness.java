package arborline.core.solid.shape;

/**
 * How near is the same.
 *
 * @param slant sine of the angle between directions
 * @param distance mm between lines
 */
public record Closeness(double slant, double distance) {

  /** 0.01 degrees and 0.001 mm. */
  public static final Closeness AXES = new Closeness(1.75e-4, 1e-3);

  /** True where an axis runs along another one, as near as a point on both. */
  public boolean same(Axis axis, Axis other) {
    return axis.slant(other.direction()) <= slant && axis.r(other.origin()) <= distance;
  }

  public boolean on(Axis axis, Vector3 point) {
    return axis.r(point) <= distance;
  }
}
