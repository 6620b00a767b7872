package arborline.core.solid.shape;

/**
 * An ellipse in the plane of its frame's x and y; a circle where both radii are the same. Its
 * parameter is the angle, radians.
 */
public record Ellipse(Placement frame, double a, double b) implements Curve {

  public static Ellipse circle(Placement frame, double radius) {
    return new Ellipse(frame, radius, radius);
  }

  public boolean round() {
    return a == b;
  }

  @Override
  public Vector3 at(double angle) {
    return frame.point(a * Math.cos(angle), b * Math.sin(angle), 0);
  }

  @Override
  public double parameter(Vector3 point) {
    Vector3 local = frame.local(point);
    double angle = Math.atan2(local.y() / b, local.x() / a);
    return angle < 0 ? angle + period() : angle;
  }

  @Override
  public double period() {
    return 2 * Math.PI;
  }
}
