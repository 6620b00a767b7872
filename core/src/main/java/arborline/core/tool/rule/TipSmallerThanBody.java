package arborline.core.tool.rule;

import arborline.core.finding.Severity;

/** DCN < DCX. */
public final class TipSmallerThanBody extends AtMost {
  public TipSmallerThanBody() {
    super("tip-not-smaller", Severity.HOLD, "DCN", "DCX", false);
  }
}
