package arborline.core.tool.rule;

import arborline.core.finding.Severity;

/** The first step SDL1 lies within the flutes LCF. */
public final class StepWithinFlutes extends AtMost {
  public StepWithinFlutes() {
    super("step-beyond-flutes", Severity.HOLD, "SDL1", "LCF", true);
  }
}
