package arborline.core.tool.rule;

import arborline.core.finding.Severity;

/** PHD < DC: a reamer needs something to cut. */
public final class PilotSmallerThanReamer extends AtMost {
  public PilotSmallerThanReamer() {
    super("pilot-not-smaller", Severity.HOLD, "PHD", "DC", false);
  }
}
