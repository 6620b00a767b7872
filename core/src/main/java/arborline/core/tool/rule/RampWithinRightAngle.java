package arborline.core.tool.rule;

import arborline.core.finding.Severity;

/** A tool enters at a right angle at most. */
public final class RampWithinRightAngle extends Relation {
  public RampWithinRightAngle() {
    super(
        "ramp-too-steep",
        Severity.HOLD,
        tool -> tool.approx("RMPX", 0) <= 90,
        tool ->
            sentence(
                "largest ramping angle RMPX %s is more than 90 deg", tool.values().get("RMPX")),
        "RMPX");
  }
}
