package arborline.core.tool.rule;

import arborline.core.finding.Severity;

/** DAXN < DAXX. */
public final class FaceGrooveDiameters extends AtMost {
  public FaceGrooveDiameters() {
    super("face-groove-diameters", Severity.HOLD, "DAXN", "DAXX", false);
  }
}
