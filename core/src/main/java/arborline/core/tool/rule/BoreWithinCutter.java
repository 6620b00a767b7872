package arborline.core.tool.rule;

import arborline.core.finding.Severity;

/** The bore DCONMS is smaller than the cutting diameter DC. */
public final class BoreWithinCutter extends AtMost {
  public BoreWithinCutter() {
    super("bore-too-large", Severity.HOLD, "DCONMS", "DC", false);
  }
}
