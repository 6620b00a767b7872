package arborline.core.tool.rule;

import arborline.core.finding.Severity;

/** DMM < DMIN: the bar must enter the bore. */
public final class BoreWideEnough extends AtMost {
  public BoreWideEnough() {
    super("bore-too-narrow", Severity.HOLD, "DMM", "DMIN", false);
  }
}
