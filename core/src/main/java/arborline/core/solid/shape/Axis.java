package arborline.core.solid.shape;

/**
 * A straight line with a sense. Of a point beside it, {@code z} is how far along and {@code r} how
 * far away it lies, mm.
 *
 * @param direction of length 1
 */
public record Axis(Vector3 origin, Vector3 direction) {

  public Axis {
    direction = direction.unit();
  }

  public double z(Vector3 point) {
    return point.minus(origin).dot(direction);
  }

  public double r(Vector3 point) {
    Vector3 from = point.minus(origin);
    return from.minus(direction.times(from.dot(direction))).length();
  }

  /** The direction from the axis to a point, of length 1; of a point on the axis none. */
  public Vector3 outward(Vector3 point) {
    Vector3 from = point.minus(origin);
    return from.minus(direction.times(from.dot(direction))).unit();
  }

  public Vector3 at(double z) {
    return origin.plus(direction.times(z));
  }

  public Axis reversed() {
    return new Axis(origin, direction.times(-1));
  }

  /** The same line with its zero moved along it. */
  public Axis from(double z) {
    return new Axis(at(z), direction);
  }

  /** The sine of the angle to another line, whichever senses they have. */
  public double slant(Vector3 other) {
    return direction.cross(other.unit()).length();
  }
}
