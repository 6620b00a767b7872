package arborline.core.tool.rule;

import arborline.core.finding.Severity;

/** TPN ≤ TPX. */
public final class PitchesRise extends AtMost {
  public PitchesRise() {
    super("pitches-fall", Severity.HOLD, "TPN", "TPX", true);
  }
}
