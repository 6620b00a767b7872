package arborline.core.tool.rule;

import arborline.core.finding.Severity;

/** 0 < AXISANGLE ≤ 120. */
public final class AngleTurned extends Relation {
  public AngleTurned() {
    super(
        "axis-angle-range",
        Severity.HOLD,
        tool -> tool.approx("AXISANGLE", 0) > 0 && tool.approx("AXISANGLE", 0) <= 120,
        tool ->
            sentence(
                "axis angle AXISANGLE %s is not between 0 and 120 deg",
                tool.values().get("AXISANGLE")),
        "AXISANGLE");
  }
}
