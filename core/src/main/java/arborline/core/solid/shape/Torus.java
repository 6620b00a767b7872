package arborline.core.solid.shape;

import java.util.List;
import java.util.Optional;

/**
 * A torus around its frame's z; u is the angle around it, v that around the tube.
 *
 * @param major from the axis to the middle of the tube, mm; below 0 for the inner part of a torus
 *     that meets itself, whose tube has its middle beyond the axis
 * @param minor radius of the tube, mm
 */
public record Torus(Placement frame, double major, double minor) implements Surface {

  @Override
  public Vector3 at(double u, double v) {
    double r = major + minor * Math.cos(v);
    return frame.point(r * Math.cos(u), r * Math.sin(u), minor * Math.sin(v));
  }

  @Override
  public Vector3 normal(double u, double v) {
    return frame.direction(
        new Vector3(Math.cos(v) * Math.cos(u), Math.cos(v) * Math.sin(u), Math.sin(v)));
  }

  @Override
  public Patch patch(List<Vector3> boundary) {
    return new Patch(
        Turns.START, Turns.START + 2 * Math.PI, Turns.START, Turns.START + 2 * Math.PI);
  }

  @Override
  public Optional<Axis> axis() {
    return Optional.of(frame.axis());
  }

  @Override
  public Optional<Meridian> meridian(Axis axis, Closeness closeness) {
    return closeness.same(axis, frame.axis())
        ? Optional.of(new ArcMeridian(axis.z(frame.origin()), major, minor))
        : Optional.empty();
  }
}
