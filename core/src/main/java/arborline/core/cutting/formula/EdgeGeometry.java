package arborline.core.cutting.formula;

/** Geometry of edges that several formulas share. */
public final class EdgeGeometry {

  static final String THINNING =
      "fz*sin(kappa)*2*sqrt(ae/D-(ae/D)^2) for ae<D/2 else fz*sin(kappa)";

  private EdgeGeometry() {}

  /** Sine of the edge angle ka in degrees; 1 where none is given. */
  public static double sinKappa(Inputs in) {
    return Math.sin(Math.toRadians(in.get("ka", 90)));
  }

  /** Largest chip thickness over feed per tooth. */
  static double thinning(Inputs in) {
    double share = in.get("ae") / in.get("D");
    return sinKappa(in) * (share < 0.5 ? 2 * Math.sqrt(share - share * share) : 1);
  }

  /** Length of a cone of SIG degrees between DCN and a diameter, mm; 0 where it is flat. */
  static double cone(Inputs in, String diameter) {
    double half = (in.get(diameter) - in.get("DCN", 0)) / 2;
    return in.get("SIG") == 180 ? 0 : half / Math.tan(Math.toRadians(in.get("SIG") / 2));
  }
}
