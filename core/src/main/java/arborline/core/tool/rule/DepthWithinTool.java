package arborline.core.tool.rule;

import arborline.core.finding.Severity;

/** APMX is at most OAL. */
public final class DepthWithinTool extends AtMost {
  public DepthWithinTool() {
    super("depth-too-long", Severity.HOLD, "APMX", "OAL", true);
  }
}
