package arborline.core.tool.rule;

import arborline.core.finding.Severity;

/** RPMX = 0: a probe is never spun. */
public final class ProbeStandsStill extends Relation {
  public ProbeStandsStill() {
    super(
        "probe-spins",
        Severity.HOLD,
        tool -> tool.approx("RPMX", 0) == 0,
        tool ->
            sentence("a touch probe must never turn, but RPMX is %s", tool.values().get("RPMX")),
        "RPMX");
  }
}
