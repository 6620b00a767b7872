package arborline.core.tool.rule;

import arborline.core.finding.Severity;

/** PRFRAD > DC/2: a barrel is flatter than a ball. */
public final class ProfileRadiusLarge extends Relation {
  public ProfileRadiusLarge() {
    super(
        "profile-radius-small",
        Severity.QUERY,
        tool -> 2 * tool.approx("PRFRAD", 0) > tool.approx("DC", 0),
        tool ->
            sentence(
                "profile radius PRFRAD %s is not more than half of DC %s: that is a ball",
                tool.values().get("PRFRAD"), tool.values().get("DC")),
        "PRFRAD",
        "DC");
  }
}
