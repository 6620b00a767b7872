package arborline.core.solid.shape;

/** A curve in space. */
public sealed interface Curve permits Line, Ellipse, Hyperbola, Parabola, SplineCurve, Polyline {

  Vector3 at(double parameter);

  /** The parameter of the curve's point next to a point. */
  double parameter(Vector3 point);

  /** After how much its parameter comes back to the same point; 0 where it does not. */
  default double period() {
    return 0;
  }
}
