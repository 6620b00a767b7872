package arborline.core.tool.rule;

import arborline.core.finding.Severity;

/** TP ≤ APMX: a thread mill cuts at least one pitch. */
public final class PitchWithinDepth extends AtMost {
  public PitchWithinDepth() {
    super("pitch-beyond-depth", Severity.HOLD, "TP", "APMX", false);
  }
}
