package arborline.core.tool.rule;

import arborline.core.finding.Severity;

/** DCN < DC. */
public final class TipSmallerThanCutter extends AtMost {
  public TipSmallerThanCutter() {
    super("tip-not-smaller", Severity.HOLD, "DCN", "DC", false);
  }
}
