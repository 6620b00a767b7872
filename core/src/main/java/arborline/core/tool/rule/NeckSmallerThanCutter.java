package arborline.core.tool.rule;

import arborline.core.finding.Severity;

/** DN < DC: a neck as wide as the edges would not enter. */
public final class NeckSmallerThanCutter extends AtMost {
  public NeckSmallerThanCutter() {
    super("neck-not-smaller", Severity.HOLD, "DN", "DC", false);
  }
}
