package arborline.core.tool.rule;

import arborline.core.finding.Severity;

/** CDX < LF: no groove is as deep as the holder is long. */
public final class GrooveWithinHolder extends AtMost {
  public GrooveWithinHolder() {
    super("groove-beyond-holder", Severity.HOLD, "CDX", "LF", false);
  }
}
