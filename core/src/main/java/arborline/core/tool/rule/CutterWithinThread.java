package arborline.core.tool.rule;

import arborline.core.finding.Severity;

/** DC < smallest thread diameter: a thread mill must enter its hole. */
public final class CutterWithinThread extends AtMost {
  public CutterWithinThread() {
    super("cutter-beyond-thread", Severity.HOLD, "DC", "TDN", false);
  }
}
