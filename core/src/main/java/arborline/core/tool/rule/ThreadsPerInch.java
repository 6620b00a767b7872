package arborline.core.tool.rule;

import arborline.core.finding.Severity;

/** TP·TPI = 25.4 within 0.001. */
public final class ThreadsPerInch extends Relation {
  public ThreadsPerInch() {
    super(
        "pitch-contradicts",
        Severity.HOLD,
        tool ->
            Math.abs(tool.approx("TP", 0) * tool.approx("TPI", 0) - 25.4)
                <= 0.001 * tool.approx("TPI", 0),
        tool ->
            sentence(
                "pitch TP %s and %s threads per inch TPI contradict each other",
                tool.values().get("TP"), tool.values().get("TPI")),
        "TP",
        "TPI");
  }
}
