package arborline.core.tool.rule;

import arborline.core.finding.Severity;

/** PHD ≥ DC: a deep-hole drill is guided by its pilot hole. */
public final class PilotWideEnough extends Relation {
  public PilotWideEnough() {
    super(
        "pilot-too-narrow",
        Severity.HOLD,
        tool -> tool.approx("PHD", 0) >= tool.approx("DC", 0),
        tool ->
            sentence(
                "pilot hole PHD %s is narrower than the drill DC %s",
                tool.values().get("PHD"), tool.values().get("DC")),
        "PHD",
        "DC");
  }
}
