package arborline.core.tool.rule;

import arborline.core.finding.Severity;

/** DC ≤ DCX. */
public final class DiameterWithinLargest extends AtMost {
  public DiameterWithinLargest() {
    super("diameter-beyond-largest", Severity.HOLD, "DC", "DCX", true);
  }
}
