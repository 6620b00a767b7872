package arborline.core.tool.rule;

import arborline.core.finding.Severity;

/** WF + DMM/2 ≤ DMIN. */
public final class BarClearsBore extends Relation {
  public BarClearsBore() {
    super(
        "bar-rubs",
        Severity.QUERY,
        tool -> tool.approx("WF", 0) + tool.approx("DMM", 0) / 2 <= tool.approx("DMIN", 0) + 1e-9,
        tool ->
            sentence(
                "WF %s and half of the bar DMM %s are more than the smallest bore DMIN %s",
                tool.values().get("WF"), tool.values().get("DMM"), tool.values().get("DMIN")),
        "WF",
        "DMM",
        "DMIN");
  }
}
