package arborline.core.tool.rule;

import arborline.core.finding.Severity;

/** APMX is at most LF. */
public final class DepthWithinLength extends AtMost {
  public DepthWithinLength() {
    super("depth-too-long", Severity.HOLD, "APMX", "LF", true);
  }
}
