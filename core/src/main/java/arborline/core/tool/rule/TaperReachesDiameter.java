package arborline.core.tool.rule;

import arborline.core.finding.Severity;

/** DCN + 2·APMX·tan(BHTA) = DC within 0.05 mm. */
public final class TaperReachesDiameter extends Relation {
  public TaperReachesDiameter() {
    super(
        "taper-diameter",
        Severity.QUERY,
        tool ->
            Math.abs(
                    tool.approx("DCN", 0)
                        + 2
                            * tool.approx("APMX", 0)
                            * Math.tan(Math.toRadians(tool.approx("BHTA", 0)))
                        - tool.approx("DC", 0))
                <= 0.05,
        tool ->
            sentence(
                "at depth of cut APMX the taper is %.3f mm wide, DC is %s",
                tool.approx("DCN", 0)
                    + 2 * tool.approx("APMX", 0) * Math.tan(Math.toRadians(tool.approx("BHTA", 0))),
                tool.values().get("DC")),
        "DCN",
        "BHTA",
        "DC",
        "APMX");
  }
}
