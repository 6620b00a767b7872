package arborline.core.tool.rule;

import arborline.core.finding.Severity;

/** TP < TD: a thread is wider than its pitch. */
public final class PitchWithinThread extends AtMost {
  public PitchWithinThread() {
    super("pitch-beyond-thread", Severity.HOLD, "TP", "TD", false);
  }
}
