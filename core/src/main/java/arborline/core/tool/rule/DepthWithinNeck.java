package arborline.core.tool.rule;

import arborline.core.finding.Severity;

/** LN reaches at least as far as APMX. */
public final class DepthWithinNeck extends AtMost {
  public DepthWithinNeck() {
    super("neck-too-short", Severity.QUERY, "APMX", "LN", true);
  }
}
