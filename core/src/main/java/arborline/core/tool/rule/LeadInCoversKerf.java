package arborline.core.tool.rule;

import arborline.core.finding.Severity;

/** KERF ≤ LEADIN: the pierced hole must not reach the contour. */
public final class LeadInCoversKerf extends AtMost {
  public LeadInCoversKerf() {
    super("lead-in-short", Severity.QUERY, "KERF", "LEADIN", true);
  }
}
