package arborline.core.tool.rule;

import arborline.core.finding.Severity;

/** PHD ≈ TD - 0.5·TP within 0.1·TP. Source: workshop handbook, forming taps. */
public final class FormingTapDrill extends Relation {
  public FormingTapDrill() {
    super(
        "tap-drill",
        Severity.QUERY,
        tool ->
            Math.abs(tool.approx("PHD", 0) - (tool.approx("TD", 0) - 0.5 * tool.approx("TP", 0)))
                <= 0.1 * tool.approx("TP", 0) + 1e-9,
        tool ->
            sentence(
                "pre-machined hole PHD is %s, thread diameter less half the pitch is %.3f mm",
                tool.values().get("PHD"), tool.approx("TD", 0) - 0.5 * tool.approx("TP", 0)),
        "PHD",
        "TD",
        "TP");
  }
}
