package arborline.core.tool.rule;

import arborline.core.finding.Severity;

/** KAPR + EPSR < 180: the trailing edge stays off the work. Source: ISO 5608. */
public final class TrailingEdgeClear extends Relation {
  public TrailingEdgeClear() {
    super(
        "trailing-edge",
        Severity.HOLD,
        tool -> tool.approx("KAPR", 0) + tool.approx("EPSR", 0) < 180,
        tool ->
            sentence(
                "KAPR %s and corner EPSR %s leave no end clearance: the trailing edge would rub",
                tool.values().get("KAPR"), tool.values().get("EPSR")),
        "KAPR",
        "EPSR");
  }
}
