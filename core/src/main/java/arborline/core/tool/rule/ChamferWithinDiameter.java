package arborline.core.tool.rule;

import arborline.core.finding.Severity;

/** CHW is less than DC/2. */
public final class ChamferWithinDiameter extends Relation {
  public ChamferWithinDiameter() {
    super(
        "chamfer-too-wide",
        Severity.HOLD,
        tool -> tool.approx("CHW", 0) < tool.approx("DC", 0) / 2,
        tool ->
            sentence(
                "corner chamfer CHW %s is not less than half of DC %s",
                tool.values().get("CHW"), tool.values().get("DC")),
        "CHW",
        "DC");
  }
}
