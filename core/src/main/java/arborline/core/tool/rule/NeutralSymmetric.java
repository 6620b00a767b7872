package arborline.core.tool.rule;

import arborline.core.finding.Severity;

/** KAPR ≈ (180 - EPSR)/2 for a neutral tool. */
public final class NeutralSymmetric extends Relation {
  public NeutralSymmetric() {
    super(
        "neutral-not-symmetric",
        Severity.QUERY,
        tool -> Math.abs(tool.approx("KAPR", 0) - (180 - tool.approx("EPSR", 0)) / 2) <= 1,
        tool ->
            sentence(
                "KAPR %s is not half of what corner EPSR %s leaves: the tool is not symmetric",
                tool.values().get("KAPR"), tool.values().get("EPSR")),
        "KAPR",
        "EPSR");
  }
}
