package arborline.core.tool.rule;

import arborline.core.finding.Severity;

/** LCF ≤ OAL. */
public final class FlutesWithinTool extends AtMost {
  public FlutesWithinTool() {
    super("flutes-beyond-tool", Severity.HOLD, "LCF", "OAL", true);
  }
}
