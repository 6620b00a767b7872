package arborline.core.tool.rule;

import arborline.core.finding.Severity;

/** RE ≤ CW/2. */
public final class GrooveCorner extends Relation {
  public GrooveCorner() {
    super(
        "corner-beyond-groove",
        Severity.HOLD,
        tool -> 2 * tool.approx("RE", 0) <= tool.approx("CW", 0) + 1e-9,
        tool ->
            sentence(
                "corner radius RE %s is more than half of the groove width CW %s",
                tool.values().get("RE"), tool.values().get("CW")),
        "RE",
        "CW");
  }
}
