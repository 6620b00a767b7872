package arborline.core.tool.rule;

import arborline.core.finding.Severity;

/** CW < LU: the foot must reach below the neck. */
public final class SlotWithinReach extends AtMost {
  public SlotWithinReach() {
    super("slot-beyond-reach", Severity.HOLD, "CW", "LU", false);
  }
}
