package arborline.core.tool.rule;

import arborline.core.finding.Severity;

/** DCONMS is at most DC: what a face mill hangs on is hardly wider than its cut. */
public final class ArborWithinFaceMill extends AtMost {
  public ArborWithinFaceMill() {
    super("bore-too-large", Severity.QUERY, "DCONMS", "DC", true);
  }
}
