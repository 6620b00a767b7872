package arborline.core.tool.rule;

import arborline.core.finding.Severity;

/** APMX ≤ LU: an edge cannot cut deeper than the tool can go. */
public final class DepthWithinUsableLength extends AtMost {
  public DepthWithinUsableLength() {
    super("depth-beyond-usable", Severity.HOLD, "APMX", "LU", true);
  }
}
