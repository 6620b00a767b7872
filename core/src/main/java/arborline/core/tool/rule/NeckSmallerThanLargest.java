package arborline.core.tool.rule;

import arborline.core.finding.Severity;

/** DN < DCX: the bar must pass the hole that it bores from behind. */
public final class NeckSmallerThanLargest extends AtMost {
  public NeckSmallerThanLargest() {
    super("neck-not-smaller", Severity.HOLD, "DN", "DCX", false);
  }
}
