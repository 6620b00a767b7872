package arborline.core.tool.rule;

import arborline.core.finding.Severity;

/** DCX ≥ DCN + 2·PRFRAD. */
public final class RoundingWithinDiameter extends Relation {
  public RoundingWithinDiameter() {
    super(
        "rounding-beyond-diameter",
        Severity.HOLD,
        tool ->
            tool.approx("DCX", 0) >= tool.approx("DCN", 0) + 2 * tool.approx("PRFRAD", 0) - 1e-9,
        tool ->
            sentence(
                "DCX %s is less than DCN %s and twice the radius PRFRAD %s",
                tool.values().get("DCX"), tool.values().get("DCN"), tool.values().get("PRFRAD")),
        "PRFRAD",
        "DCX",
        "DCN");
  }
}
