package arborline.core.tool.rule;

import arborline.core.finding.Severity;

/** The edge of a flat end mill stands at 90 degrees. */
public final class SquareToAxis extends Relation {
  public SquareToAxis() {
    super(
        "edge-not-square",
        Severity.HOLD,
        tool -> Math.abs(tool.approx("KAPR", 90) - 90) < 0.01,
        tool ->
            sentence(
                "edge angle KAPR %s is not 90 deg; a flat end mill cuts a square shoulder",
                tool.values().get("KAPR")),
        "KAPR");
  }
}
