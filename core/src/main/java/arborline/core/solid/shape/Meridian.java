package arborline.core.solid.shape;

/** What is turned around an axis: a curve of points {@code (z, r)}, mm, with r not below 0. */
public sealed interface Meridian permits StraightMeridian, ArcMeridian, SampledMeridian {

  /** The parameter of its point next to one. */
  double parameter(double z, double r);

  double z(double parameter);

  double r(double parameter);

  /** After how much it comes back to itself; 0 where it does not. */
  default double period() {
    return 0;
  }
}
