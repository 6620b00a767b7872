package arborline.core.tool.rule;

import arborline.core.finding.Severity;

/** RE ≤ DCN/2. */
public final class RadiusWithinTip extends Relation {
  public RadiusWithinTip() {
    super(
        "corner-beyond-tip",
        Severity.HOLD,
        tool -> 2 * tool.approx("RE", 0) <= tool.approx("DCN", 0) + 1e-9,
        tool ->
            sentence(
                "corner radius RE %s is more than half of the tip diameter DCN %s",
                tool.values().get("RE"), tool.values().get("DCN")),
        "RE",
        "DCN");
  }
}
