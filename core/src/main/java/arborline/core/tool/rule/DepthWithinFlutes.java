package arborline.core.tool.rule;

import arborline.core.finding.Severity;

/** APMX ≤ LCF: chips need a flute as long as the cut is deep. */
public final class DepthWithinFlutes extends AtMost {
  public DepthWithinFlutes() {
    super("depth-beyond-flutes", Severity.HOLD, "APMX", "LCF", true);
  }
}
