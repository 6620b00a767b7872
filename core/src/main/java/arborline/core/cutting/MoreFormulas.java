package arborline.core.cutting;

import java.util.List;

/** Formulas of single ways of cutting, and those that are answered when asked. */
final class MoreFormulas {

  /** Removal rate in turning. */
  static final Formula Q_TURN =
      Formula.of("Q_turn", "cm3/min", "vc*ap*fn", in -> in.get("vc") * in.get("ap") * in.get("fn"))
          .needs("vc", "ap", "fn");

  /** Chip thickness in turning. */
  static final Formula H_TURN =
      Formula.of("h_turn", "mm", "fn*sin(kappa)", in -> in.get("fn") * Formulas.sinKappa(in))
          .needs("fn")
          .may("ka");

  /** Feed rate of a tap. */
  static final Formula TAP_FEED =
      Formula.of("tap_feed", "mm/min", "n*P", in -> in.get("n") * in.get("P")).needs("n", "P");

  /** Hole before tapping. */
  static final Formula TAP_DRILL =
      Formula.of("tap_drill", "mm", "d-P", in -> in.get("d") - in.get("P"))
          .needs("d", "P")
          .when(in -> in.get("P") < in.get("d"), "pitch must be smaller than thread diameter");

  /** Hole before forming a thread: the material that is pressed aside fills it. */
  static final Formula FORM_DRILL =
      Formula.of("form_drill", "mm", "d-0.5*P", in -> in.get("d") - 0.5 * in.get("P"))
          .needs("d", "P")
          .when(in -> in.get("P") < in.get("d"), "pitch must be smaller than thread diameter");

  /** Height of the feed marks that a corner radius leaves. */
  static final Formula RT =
      Formula.of(
              "Rt",
              "um",
              "1000*fn^2/(8*RE)",
              in -> 1000 * in.get("fn") * in.get("fn") / (8 * in.get("RE")))
          .needs("fn", "RE");

  /** Height of the ridges between two rows of a ball. */
  static final Formula SCALLOP =
      Formula.of(
              "scallop",
              "um",
              "1000*(R-sqrt(R^2-ae^2/4))",
              in ->
                  1000
                      * (in.get("R")
                          - Math.sqrt(in.get("R") * in.get("R") - in.get("ae") * in.get("ae") / 4)))
          .needs("R", "ae")
          .when(in -> in.get("ae") <= 2 * in.get("R"), "ae cannot exceed 2*R");

  static final List<Formula> ALL =
      List.of(
          Formula.of(
                  "n_rpm_inch",
                  "1/min",
                  "12*sfm/(pi*D_in)",
                  in -> 12 * in.get("sfm") / (Math.PI * in.get("D")))
              .needs("sfm", "D"),
          Formula.of(
                  "n_capped",
                  "1/min",
                  "min(1000*vc/(pi*D),RPMX)",
                  in -> Math.min(1000 * in.get("vc") / (Math.PI * in.get("D")), in.get("RPMX")))
              .needs("vc", "D", "RPMX"),
          Formula.of("fz", "mm", "vf/(n*z)", in -> in.get("vf") / (in.get("n") * in.get("z")))
              .needs("vf", "n", "z")
              .when(in -> Formulas.whole(in.get("z")), "z must be a whole number"),
          Formula.of("fn", "mm", "vf/n", in -> in.get("vf") / in.get("n")).needs("vf", "n"),
          Q_TURN,
          H_TURN,
          Formula.of(
                  "deff_ball_tilt",
                  "mm",
                  "D*sin(beta+acos((D-2ap)/D)), angle capped at 90",
                  in ->
                      in.get("D")
                          * Math.sin(
                              Math.min(
                                  Math.PI / 2,
                                  Math.toRadians(in.get("b"))
                                      + Math.acos(1 - 2 * in.get("ap") / in.get("D")))))
              .needs("D", "ap", "b")
              .free("b")
              .when(in -> in.get("ap") <= in.get("D") / 2, "need 0 < ap <= D/2")
              .when(in -> in.get("b") >= 0 && in.get("b") <= 90, "need 0 <= b <= 90"),
          Formula.of(
                  "deff_round",
                  "mm",
                  "D0+2*sqrt(ap*(ic-ap)), D0 = DCX - ic",
                  in -> in.get("D0") + 2 * Math.sqrt(in.get("ap") * (in.get("ic") - in.get("ap"))))
              .needs("D0", "ic", "ap")
              .when(in -> in.get("ap") <= in.get("ic") / 2, "need 0 < ap <= ic/2"),
          Formula.of(
                  "M_drill",
                  "N.m",
                  "kc*fn*D^2/8000",
                  in -> in.get("kc") * in.get("fn") * in.get("D") * in.get("D") / 8000)
              .needs("kc", "fn", "D"),
          TAP_FEED,
          Formula.of(
                  "tap_feed_tpi", "mm/min", "n*25.4/tpi", in -> in.get("n") * 25.4 / in.get("tpi"))
              .needs("n", "tpi"),
          TAP_DRILL,
          FORM_DRILL,
          Formula.of(
                  "tap_drill_pct",
                  "mm",
                  "d-1.0825*P*pct/100 (100% = 5/8 H each side)",
                  in -> in.get("d") - 1.0825 * in.get("P") * in.get("pct") / 100)
              .needs("d", "P", "pct")
              .when(in -> in.get("P") < in.get("d"), "pitch must be smaller than thread diameter")
              .when(in -> in.get("pct") <= 100, "pct must be <= 100"),
          Formula.of(
                  "form_tap_drill",
                  "mm",
                  "d-0.0068*P*pct",
                  in -> in.get("d") - 0.0068 * in.get("P") * in.get("pct"))
              .needs("d", "P", "pct")
              .when(in -> in.get("P") < in.get("d"), "pitch must be smaller than thread diameter")
              .when(in -> in.get("pct") <= 100, "pct must be <= 100"),
          RT,
          SCALLOP,
          Formula.of(
                  "vf_thread_int",
                  "mm/min",
                  "vf*(D1-D)/D1 (tool-centre feed, internal circle)",
                  in -> in.get("vf") * (in.get("D1") - in.get("D")) / in.get("D1"))
              .needs("vf", "D1", "D")
              .when(
                  in -> in.get("D") < in.get("D1"),
                  "cutter must be smaller than the internal circle"),
          Formula.of(
                  "vf_thread_ext",
                  "mm/min",
                  "vf*(D1+D)/D1 (tool-centre feed, external circle)",
                  in -> in.get("vf") * (in.get("D1") + in.get("D")) / in.get("D1"))
              .needs("vf", "D1", "D"),
          Formula.of("csk_depth", "mm", "(Dc-DCN)/2/tan(SIG/2)", in -> Formulas.cone(in, "Dc"))
              .needs("Dc", "SIG")
              .free("DCN")
              .when(in -> in.get("SIG") < 180, "SIG must be > 0 and < 180")
              .when(in -> in.get("DCN", 0) >= 0, "DCN must be >= 0")
              .when(in -> in.get("DCN", 0) < in.get("Dc"), "DCN must be smaller than Dc"),
          Formula.of(
                  "sec_clear", "deg", "180-KAPR-EPSR", in -> 180 - in.get("KAPR") - in.get("EPSR"))
              .needs("KAPR", "EPSR")
              .when(in -> in.get("KAPR") + in.get("EPSR") < 180, "end clearance must be > 0"));

  private MoreFormulas() {}
}
