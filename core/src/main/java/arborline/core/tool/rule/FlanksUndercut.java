package arborline.core.tool.rule;

import arborline.core.finding.Severity;

/** KAPR < 90: the flanks of a dovetail lean back. */
public final class FlanksUndercut extends Relation {
  public FlanksUndercut() {
    super(
        "flanks-not-undercut",
        Severity.HOLD,
        tool -> tool.approx("KAPR", 0) < 90,
        tool -> sentence("flanks at KAPR %s undercut nothing", tool.values().get("KAPR")),
        "KAPR");
  }
}
