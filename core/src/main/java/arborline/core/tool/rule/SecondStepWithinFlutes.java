package arborline.core.tool.rule;

import arborline.core.finding.Severity;

/** The second step SDL2 lies within the flutes LCF. */
public final class SecondStepWithinFlutes extends AtMost {
  public SecondStepWithinFlutes() {
    super("step-beyond-flutes", Severity.HOLD, "SDL2", "LCF", true);
  }
}
