package arborline.core.tool.rule;

import arborline.core.finding.Severity;

/** ZEFP ≤ NOF. */
public final class EdgesWithinFlutes extends AtMost {
  public EdgesWithinFlutes() {
    super("edges-beyond-flutes", Severity.QUERY, "ZEFP", "NOF", true);
  }
}
