package arborline.core.solid.shape;

/** Between which parameters a piece of a surface lies. */
public record Patch(double u0, double u1, double v0, double v1) {

  /** The parameter at a share of the way, from 0 to 1. */
  public double u(double share) {
    return u0 + (u1 - u0) * share;
  }

  public double v(double share) {
    return v0 + (v1 - v0) * share;
  }
}
