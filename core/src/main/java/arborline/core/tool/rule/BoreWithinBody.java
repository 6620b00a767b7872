package arborline.core.tool.rule;

import arborline.core.finding.Severity;

/** The bore DCONMS is smaller than the body BD. */
public final class BoreWithinBody extends AtMost {
  public BoreWithinBody() {
    super("bore-too-large", Severity.HOLD, "DCONMS", "BD", false);
  }
}
