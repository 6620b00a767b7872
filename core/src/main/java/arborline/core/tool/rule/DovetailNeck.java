package arborline.core.tool.rule;

import arborline.core.finding.Severity;

/** DN ≤ DC - 2·APMX/tan(KAPR). */
public final class DovetailNeck extends Relation {
  public DovetailNeck() {
    super(
        "dovetail-neck",
        Severity.HOLD,
        tool ->
            tool.approx("DN", 0)
                <= tool.approx("DC", 0)
                    - 2 * tool.approx("APMX", 0) / Math.tan(Math.toRadians(tool.approx("KAPR", 0)))
                    + 1e-6,
        tool ->
            sentence(
                "neck DN %s is wider than the flanks leave (%.3f mm)",
                tool.values().get("DN"),
                tool.approx("DC", 0)
                    - 2
                        * tool.approx("APMX", 0)
                        / Math.tan(Math.toRadians(tool.approx("KAPR", 0)))),
        "DN",
        "DC",
        "APMX",
        "KAPR");
  }
}
