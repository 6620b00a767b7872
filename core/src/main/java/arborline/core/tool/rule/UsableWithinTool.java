package arborline.core.tool.rule;

import arborline.core.finding.Severity;

/** LU < OAL: something must be left to hold. */
public final class UsableWithinTool extends AtMost {
  public UsableWithinTool() {
    super("usable-beyond-tool", Severity.HOLD, "LU", "OAL", false);
  }
}
