package arborline.core.tool.rule;

import arborline.core.finding.Severity;

/** DC < DMM: a centre drill is thinner at its pilot. */
public final class CutterWithinShank extends AtMost {
  public CutterWithinShank() {
    super("pilot-not-thinner", Severity.HOLD, "DC", "DMM", false);
  }
}
