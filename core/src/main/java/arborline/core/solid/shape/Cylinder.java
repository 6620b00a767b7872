package arborline.core.solid.shape;

import java.util.List;
import java.util.Optional;

/** A cylinder around its frame's z; u is the angle, v mm along. */
public record Cylinder(Placement frame, double radius) implements Surface {

  @Override
  public Vector3 at(double u, double v) {
    return frame.point(radius * Math.cos(u), radius * Math.sin(u), v);
  }

  @Override
  public Vector3 normal(double u, double v) {
    return frame.direction(new Vector3(Math.cos(u), Math.sin(u), 0));
  }

  @Override
  public Patch patch(List<Vector3> boundary) {
    return Turns.whole(frame, boundary);
  }

  @Override
  public Optional<Axis> axis() {
    return Optional.of(frame.axis());
  }

  @Override
  public Optional<Meridian> meridian(Axis axis, Closeness closeness) {
    return closeness.same(axis, frame.axis())
        ? Optional.of(new StraightMeridian(0, radius, 1, 0))
        : Optional.empty();
  }
}
