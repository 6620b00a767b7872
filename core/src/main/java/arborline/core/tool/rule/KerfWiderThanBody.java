package arborline.core.tool.rule;

import arborline.core.finding.Severity;

/** WB < CW: a blade as thick as its kerf binds. */
public final class KerfWiderThanBody extends AtMost {
  public KerfWiderThanBody() {
    super("kerf-not-wider", Severity.HOLD, "WB", "CW", false);
  }
}
