package arborline.core.solid.shape;

import java.util.List;
import java.util.Optional;

/**
 * A cone around its frame's z; u is the angle, v mm along.
 *
 * @param radius at the frame's origin, mm
 * @param angle between axis and line, radians
 */
public record Cone(Placement frame, double radius, double angle) implements Surface {

  @Override
  public Vector3 at(double u, double v) {
    double r = radius + v * Math.tan(angle);
    return frame.point(r * Math.cos(u), r * Math.sin(u), v);
  }

  @Override
  public Vector3 normal(double u, double v) {
    double side = radius + v * Math.tan(angle) < 0 ? -1 : 1;
    double out = side * Math.cos(angle);
    return frame.direction(
        new Vector3(out * Math.cos(u), out * Math.sin(u), -side * Math.sin(angle)));
  }

  @Override
  public Patch patch(List<Vector3> boundary) {
    return Turns.whole(frame, boundary);
  }

  /** Where it comes to a point. */
  public Vector3 apex() {
    return frame.point(0, 0, -radius / Math.tan(angle));
  }

  @Override
  public Optional<Axis> axis() {
    return Optional.of(frame.axis());
  }

  @Override
  public Optional<Meridian> meridian(Axis axis, Closeness closeness) {
    if (!closeness.same(axis, frame.axis())) {
      return Optional.empty();
    }
    double along = Math.signum(axis.direction().dot(frame.z()));
    return Optional.of(
        new StraightMeridian(
            axis.z(frame.origin()), radius, along * Math.cos(angle), Math.sin(angle)));
  }
}
