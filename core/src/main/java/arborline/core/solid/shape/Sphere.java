package arborline.core.solid.shape;

import java.util.List;
import java.util.Optional;

/** A sphere around its frame's origin; u is the longitude, v the latitude, radians. */
public record Sphere(Placement frame, double radius) implements Surface {

  @Override
  public Vector3 at(double u, double v) {
    return frame.origin().plus(normal(u, v).times(radius));
  }

  @Override
  public Vector3 normal(double u, double v) {
    return frame.direction(
        new Vector3(Math.cos(v) * Math.cos(u), Math.cos(v) * Math.sin(u), Math.sin(v)));
  }

  @Override
  public Patch patch(List<Vector3> boundary) {
    return new Patch(Turns.START, Turns.START + 2 * Math.PI, -Math.PI / 2, Math.PI / 2);
  }

  @Override
  public Optional<Meridian> meridian(Axis axis, Closeness closeness) {
    return closeness.on(axis, frame.origin())
        ? Optional.of(new ArcMeridian(axis.z(frame.origin()), 0, radius))
        : Optional.empty();
  }
}
