package arborline.core.solid.shape;

import java.util.List;
import java.util.Optional;

/** A curve turned around an axis; u is the angle, v the curve's parameter between two of its. */
public record Revolved(Curve curve, Axis around, double from, double to) implements Surface {

  private static final double STEP = 1e-6;

  @Override
  public Vector3 at(double u, double v) {
    return turned(curve.at(v).minus(around.origin()), u).plus(around.origin());
  }

  private Vector3 turned(Vector3 arm, double u) {
    Vector3 k = around.direction();
    return arm.times(Math.cos(u))
        .plus(k.cross(arm).times(Math.sin(u)))
        .plus(k.times(k.dot(arm) * (1 - Math.cos(u))));
  }

  @Override
  public Vector3 normal(double u, double v) {
    Vector3 point = at(u, v);
    double step = Math.max(STEP, (to - from) * STEP);
    Vector3 along = at(u, Math.min(v + step, to)).minus(at(u, Math.max(v - step, from)));
    return around.direction().cross(point.minus(around.origin())).unit().cross(along.unit()).unit();
  }

  @Override
  public Patch patch(List<Vector3> boundary) {
    return new Patch(Turns.START, Turns.START + 2 * Math.PI, from, to);
  }

  @Override
  public Optional<Axis> axis() {
    return Optional.of(around);
  }

  @Override
  public Optional<Meridian> meridian(Axis axis, Closeness closeness) {
    return closeness.same(axis, around)
        ? Optional.of(new SampledMeridian(curve, axis, from, to))
        : Optional.empty();
  }
}
