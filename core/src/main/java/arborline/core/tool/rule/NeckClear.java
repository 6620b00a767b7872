package arborline.core.tool.rule;

import arborline.core.finding.Severity;

/** DN < DC: a neck as wide as the edges rubs. */
public final class NeckClear extends AtMost {
  public NeckClear() {
    super("neck-not-clear", Severity.QUERY, "DN", "DC", false);
  }
}
