package arborline.core.solid.shape;

/** The branch of a hyperbola on the side of its frame's x: a cosh t, b sinh t. */
public record Hyperbola(Placement frame, double a, double b) implements Curve {

  @Override
  public Vector3 at(double t) {
    return frame.point(a * Math.cosh(t), b * Math.sinh(t), 0);
  }

  @Override
  public double parameter(Vector3 point) {
    double ratio = frame.local(point).y() / b;
    return Math.log(Math.abs(ratio) + Math.sqrt(ratio * ratio + 1)) * Math.signum(ratio);
  }
}
