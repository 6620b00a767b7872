package arborline.core.solid.shape;

/**
 * A right-handed frame in space, and with it the motion that carries the file's frame onto it.
 * Directions have length 1 and stand at right angles.
 */
public record Placement(Vector3 origin, Vector3 x, Vector3 y, Vector3 z) {

  public static final Placement IDENTITY =
      new Placement(Vector3.ZERO, Vector3.X, Vector3.Y, Vector3.Z);

  /**
   * The frame of an axis and a reference direction, which need not be at right angles. Source: ISO
   * 10303-42, build_axes.
   */
  public static Placement of(Vector3 origin, Vector3 axis, Vector3 reference) {
    Vector3 z = axis.length() == 0 ? Vector3.Z : axis.unit();
    Vector3 across = reference.minus(z.times(reference.dot(z)));
    Vector3 x = across.length() < 1e-9 ? z.anyAcross() : across.unit();
    return new Placement(origin, x, z.cross(x), z);
  }

  /** The point that has these coordinates here. */
  public Vector3 point(double a, double b, double c) {
    return origin.plus(x.times(a)).plus(y.times(b)).plus(z.times(c));
  }

  public Vector3 point(Vector3 local) {
    return point(local.x(), local.y(), local.z());
  }

  public Vector3 direction(Vector3 local) {
    return x.times(local.x()).plus(y.times(local.y())).plus(z.times(local.z()));
  }

  /** The coordinates that a point has here. */
  public Vector3 local(Vector3 point) {
    Vector3 from = point.minus(origin);
    return new Vector3(from.dot(x), from.dot(y), from.dot(z));
  }

  public Vector3 localDirection(Vector3 direction) {
    return new Vector3(direction.dot(x), direction.dot(y), direction.dot(z));
  }

  /** This motion, and then another one. */
  public Placement then(Placement outer) {
    return new Placement(
        outer.point(origin), outer.direction(x), outer.direction(y), outer.direction(z));
  }

  /** The motion back. */
  public Placement inverse() {
    return new Placement(
        local(Vector3.ZERO),
        new Vector3(x.x(), y.x(), z.x()),
        new Vector3(x.y(), y.y(), z.y()),
        new Vector3(x.z(), y.z(), z.z()));
  }

  public Axis axis() {
    return new Axis(origin, z);
  }
}
