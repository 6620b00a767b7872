package arborline.core.solid.shape;

import java.util.List;
import java.util.Optional;

/** The plane of its frame's x and y; its normal is z. */
public record Plane(Placement frame) implements Surface {

  @Override
  public Vector3 at(double u, double v) {
    return frame.point(u, v, 0);
  }

  @Override
  public Vector3 normal(double u, double v) {
    return frame.z();
  }

  @Override
  public Patch patch(List<Vector3> boundary) {
    List<Vector3> local = boundary.stream().map(frame::local).toList();
    return new Patch(
        local.stream().mapToDouble(Vector3::x).min().orElse(0),
        local.stream().mapToDouble(Vector3::x).max().orElse(0),
        local.stream().mapToDouble(Vector3::y).min().orElse(0),
        local.stream().mapToDouble(Vector3::y).max().orElse(0));
  }

  @Override
  public Optional<Meridian> meridian(Axis axis, Closeness closeness) {
    return axis.slant(frame.z()) > closeness.slant()
        ? Optional.empty()
        : Optional.of(new StraightMeridian(axis.z(frame.origin()), 0, 0, 1));
  }
}
