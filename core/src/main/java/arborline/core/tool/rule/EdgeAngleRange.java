package arborline.core.tool.rule;

import arborline.core.finding.Severity;

/** 0 < KAPR ≤ 180. */
public final class EdgeAngleRange extends Relation {
  public EdgeAngleRange() {
    super(
        "edge-angle-range",
        Severity.HOLD,
        tool -> tool.approx("KAPR", 0) > 0 && tool.approx("KAPR", 0) <= 180,
        tool ->
            sentence(
                "cutting edge angle KAPR %s is not between 0 and 180 deg",
                tool.values().get("KAPR")),
        "KAPR");
  }
}
