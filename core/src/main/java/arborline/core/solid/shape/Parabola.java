package arborline.core.solid.shape;

/**
 * A parabola that opens along its frame's x: f t², 2 f t.
 *
 * @param focus mm from the vertex
 */
public record Parabola(Placement frame, double focus) implements Curve {

  @Override
  public Vector3 at(double t) {
    return frame.point(focus * t * t, 2 * focus * t, 0);
  }

  @Override
  public double parameter(Vector3 point) {
    return frame.local(point).y() / (2 * focus);
  }
}
