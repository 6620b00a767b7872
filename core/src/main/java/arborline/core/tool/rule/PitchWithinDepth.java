package arborline.core.tool.rule;

import arborline.core.finding.Severity;

/** TP ≤ APMX: a thread mill cuts at least one pitch. */
public final class PitchWithinDepth extends Relation {

  public PitchWithinDepth() {
    super(
        "pitch-beyond-depth",
        Severity.HOLD,
        tool -> tool.size("TP").compareTo(tool.size("APMX")) <= 0,
        tool ->
            sentence(
                "pitch TP %s is more than depth of cut APMX %s",
                tool.values().get("TP"), tool.values().get("APMX")),
        "TP",
        "APMX");
  }
}
