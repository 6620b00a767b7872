package arborline.core.cutting;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;

/**
 * The formulas of machining textbooks. Lengths in mm, speeds vc in m/min, rotation in 1/min, angles
 * in degrees, forces in N, specific force kc in N/mm2, power in kW.
 */
public final class Formulas {

  private static final String RADIAL =
      "fz*sin(kappa)*2*sqrt(ae/D-(ae/D)^2) for ae<D/2 else fz*sin(kappa)";
  private static final Predicate<Inputs> ENGAGED = in -> in.get("ae") <= in.get("D");
  private static final String NOT_ENGAGED = "ae cannot exceed D";
  private static final Predicate<Inputs> EFFICIENT = in -> in.get("eta", 1) <= 1;
  private static final String NOT_EFFICIENT = "eta must be <= 1";
  private static final Predicate<Inputs> POINTED = in -> in.get("SIG") <= 180;
  private static final String NOT_POINTED = "SIG must be > 0 and <= 180";

  /** Spindle speed. */
  public static final Formula N =
      Formula.of(
              "n_rpm",
              "1/min",
              "1000*vc/(pi*D)",
              in -> 1000 * in.get("vc") / (Math.PI * in.get("D")))
          .needs("vc", "D");

  /** Cutting speed. */
  public static final Formula VC =
      Formula.of("vc", "m/min", "pi*D*n/1000", in -> Math.PI * in.get("D") * in.get("n") / 1000)
          .needs("n", "D");

  /** Feed rate of a cutter with z teeth. */
  public static final Formula VF_MILL =
      Formula.of("vf_mill", "mm/min", "n*z*fz", in -> in.get("n") * in.get("z") * in.get("fz"))
          .needs("n", "z", "fz")
          .when(in -> whole(in.get("z")), "z must be a whole number");

  /** Feed rate by feed per revolution. */
  public static final Formula VF_REV =
      Formula.of("vf_rev", "mm/min", "n*fn", in -> in.get("n") * in.get("fn")).needs("n", "fn");

  /** Removal rate in milling. */
  public static final Formula Q_MILL =
      Formula.of(
              "Q_mill",
              "cm3/min",
              "ap*ae*vf/1000",
              in -> in.get("ap") * in.get("ae") * in.get("vf") / 1000)
          .needs("ap", "ae", "vf");

  /** Removal rate in drilling. */
  public static final Formula Q_DRILL =
      Formula.of(
              "Q_drill",
              "cm3/min",
              "pi*D^2/4*vf/1000",
              in -> Math.PI * in.get("D") * in.get("D") / 4 * in.get("vf") / 1000)
          .needs("D", "vf");

  /** Largest chip thickness in side milling. */
  public static final Formula HEX_SIDE =
      Formula.of("hex_side", "mm", RADIAL, in -> in.get("fz") * thinning(in))
          .needs("fz", "ae", "D")
          .may("ka")
          .when(ENGAGED, NOT_ENGAGED);

  /** Mean chip thickness in side milling. */
  public static final Formula HM_SIDE =
      Formula.of(
              "hm_side",
              "mm",
              "fz*sin(kappa)*(2*ae/D)/acos(1-2*ae/D)",
              in -> {
                double share = 2 * in.get("ae") / in.get("D");
                return in.get("fz") * sinKappa(in) * share / Math.acos(1 - share);
              })
          .needs("fz", "ae", "D")
          .may("ka")
          .when(ENGAGED, NOT_ENGAGED);

  /** Mean chip thickness with the cutter over the middle of the work. */
  public static final Formula HM_CENTRE =
      Formula.of(
              "hm_centre",
              "mm",
              "fz*sin(kappa)*(2*ae/D)/(2*asin(ae/D))",
              in -> {
                double share = in.get("ae") / in.get("D");
                return in.get("fz") * sinKappa(in) * 2 * share / (2 * Math.asin(share));
              })
          .needs("fz", "ae", "D")
          .may("ka")
          .when(ENGAGED, NOT_ENGAGED);

  /** Feed per tooth that gives a chip thickness. */
  public static final Formula FZ_COMP =
      Formula.of(
              "fz_comp",
              "mm",
              "h/(sin(kappa)*2*sqrt(ae/D-(ae/D)^2)) for ae<D/2 else h/sin(kappa)",
              in -> in.get("h") / thinning(in))
          .needs("h", "ae", "D")
          .may("ka")
          .when(ENGAGED, NOT_ENGAGED);

  /** Chip thickness in drilling. */
  public static final Formula H_DRILL =
      Formula.of(
              "h_drill",
              "mm",
              "fn/z*sin(SIG/2), z = 2 where it is not given",
              in -> in.get("fn") / in.get("z", 2) * Math.sin(Math.toRadians(in.get("SIG") / 2)))
          .needs("fn", "SIG")
          .may("z")
          .when(POINTED, NOT_POINTED);

  /** Specific cutting force. */
  public static final Formula KC =
      Formula.of(
              "kc",
              "N/mm2",
              "kc11*h^-mc*(1-0.01*gamma)",
              in ->
                  in.get("kc11")
                      * Math.pow(in.get("h"), -in.get("mc"))
                      * (1 - 0.01 * in.get("gamma", 0)))
          .needs("kc11", "mc", "h")
          .free("gamma");

  /** Spindle power in milling. */
  public static final Formula P_MILL =
      Formula.of(
              "Pc_mill",
              "kW",
              "ap*ae*vf*kc/(60e6*eta)",
              in ->
                  in.get("ap")
                      * in.get("ae")
                      * in.get("vf")
                      * in.get("kc")
                      / (60e6 * in.get("eta", 1)))
          .needs("ap", "ae", "vf", "kc")
          .may("eta")
          .when(EFFICIENT, NOT_EFFICIENT);

  /** Spindle power in drilling. */
  public static final Formula P_DRILL =
      Formula.of(
              "Pc_drill",
              "kW",
              "fn*vc*D*kc/(240e3*eta)",
              in ->
                  in.get("fn")
                      * in.get("vc")
                      * in.get("D")
                      * in.get("kc")
                      / (240e3 * in.get("eta", 1)))
          .needs("fn", "vc", "D", "kc")
          .may("eta")
          .when(EFFICIENT, NOT_EFFICIENT);

  /** Spindle power in turning. */
  public static final Formula P_TURN =
      Formula.of(
              "Pc_turn",
              "kW",
              "vc*ap*fn*kc/(60e3*eta)",
              in ->
                  in.get("vc")
                      * in.get("ap")
                      * in.get("fn")
                      * in.get("kc")
                      / (60e3 * in.get("eta", 1)))
          .needs("vc", "ap", "fn", "kc")
          .may("eta")
          .when(EFFICIENT, NOT_EFFICIENT);

  /** Torque at the spindle. */
  public static final Formula TORQUE =
      Formula.of(
              "torque",
              "N.m",
              "30000*P/(pi*n)",
              in -> 30000 * in.get("P") / (Math.PI * in.get("n")))
          .needs("P", "n");

  /** Effective diameter of a ball on a flat. */
  public static final Formula DEFF_BALL =
      Formula.of(
              "deff_ball",
              "mm",
              "2*sqrt(ap*(D-ap))",
              in -> 2 * Math.sqrt(in.get("ap") * (in.get("D") - in.get("ap"))))
          .needs("D", "ap")
          .when(
              in -> in.get("ap") <= in.get("D") / 2,
              "need 0 < ap <= D/2 (above the ball equator the effective diameter is D)");

  /** Point length of a drill. */
  public static final Formula POINT_LENGTH =
      Formula.of("point_length", "mm", "(D-DCN)/2/tan(SIG/2)", in -> cone(in, "D"))
          .needs("D", "SIG")
          .free("DCN")
          .when(POINTED, NOT_POINTED)
          .when(in -> in.get("DCN", 0) >= 0, "DCN must be >= 0")
          .when(in -> in.get("DCN", 0) < in.get("D"), "DCN must be smaller than D");

  /** Static deflection at the tip. */
  public static final Formula DEFLECTION =
      Formula.of(
              "deflection",
              "um",
              "sum F*(x2^3-x1^3)/(3*E*I); taper: integrate F*x^2/(E*I)",
              in -> Deflection.of(in.get("F"), in.segments()))
          .needs("F")
          .when(in -> !in.segments().isEmpty(), "segs is missing")
          .when(
              in ->
                  in.segments().stream()
                      .allMatch(segment ->
                          segment.length() > 0
                              && segment.from() > 0
                              && segment.to() > 0
                              && segment.modulus() > 0),
              "every length, diameter and modulus of segs must be > 0");

  private static final Map<String, Formula> BY_ID = byId();

  private Formulas() {}

  private static Map<String, Formula> byId() {
    Map<String, Formula> all = new LinkedHashMap<>();
    for (Formula formula :
        List.of(
            N,
            VC,
            VF_MILL,
            VF_REV,
            Q_MILL,
            Q_DRILL,
            HEX_SIDE,
            HM_SIDE,
            HM_CENTRE,
            FZ_COMP,
            H_DRILL,
            KC,
            P_MILL,
            P_DRILL,
            P_TURN,
            TORQUE,
            DEFF_BALL,
            POINT_LENGTH,
            DEFLECTION)) {
      all.put(formula.id(), formula);
    }
    for (Formula formula : MoreFormulas.ALL) {
      all.put(formula.id(), formula);
    }
    return all;
  }

  public static Optional<Formula> named(String id) {
    return Optional.ofNullable(BY_ID.get(id));
  }

  public static List<Formula> all() {
    return List.copyOf(BY_ID.values());
  }

  static boolean whole(double number) {
    return number == Math.rint(number);
  }

  static double sinKappa(Inputs in) {
    return Math.sin(Math.toRadians(in.get("ka", 90)));
  }

  /** Chip thickness over feed per tooth. */
  private static double thinning(Inputs in) {
    double share = in.get("ae") / in.get("D");
    return sinKappa(in) * (share < 0.5 ? 2 * Math.sqrt(share - share * share) : 1);
  }

  static double cone(Inputs in, String diameter) {
    double half = (in.get(diameter) - in.get("DCN", 0)) / 2;
    return in.get("SIG") == 180 ? 0 : half / Math.tan(Math.toRadians(in.get("SIG") / 2));
  }
}
