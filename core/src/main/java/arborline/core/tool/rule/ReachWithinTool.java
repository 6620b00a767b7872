package arborline.core.tool.rule;

import arborline.core.finding.Severity;

/** LF ≤ OAL for a solid tool on its own. */
public final class ReachWithinTool extends AtMost {
  public ReachWithinTool() {
    super("reach-beyond-tool", Severity.HOLD, "LF", "OAL", true);
  }
}
