package arborline.core.tool.rule;

import arborline.core.finding.Severity;

/** LN ≤ OAL. */
public final class NeckWithinTool extends AtMost {
  public NeckWithinTool() {
    super("neck-beyond-tool", Severity.HOLD, "LN", "OAL", true);
  }
}
