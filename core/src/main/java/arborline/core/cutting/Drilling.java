package arborline.core.cutting;

import arborline.core.finding.Finding;
import arborline.core.tool.Tool;
import java.util.List;
import java.util.Optional;

/**
 * Feeding along the axis.
 *
 * @param diameter DC, mm
 * @param pointAngle SIG, degrees; 180 where it has no point
 * @param hole diameter PHD that is there already, mm; 0 where it drills into the full
 */
record Drilling(double diameter, double pointAngle, double hole, double rpm) implements Way {

  private static final double BESIDE_MILLS = 2;

  static Drilling of(Tool tool) {
    double diameter = tool.approx("DC", tool.approx("DCX", 0));
    double hole = tool.approx("PHD", 0);
    return new Drilling(
        diameter, tool.approx("SIG", 180), hole < diameter ? hole : 0, Way.rpm(tool));
  }

  @Override
  public List<Ask> asks() {
    return List.of(Ask.FEED_PER_REVOLUTION);
  }

  @Override
  public Feeds feeds(WorkMaterial material) {
    return Feeds.scaled(material, diameter, BESIDE_MILLS);
  }

  @Override
  public Wish begin(double speed, double feed) {
    return new Wish(speed, feed, 0, 0);
  }

  @Override
  public Optional<Finding> obstacle(Wish wish) {
    if (!(diameter > 0)) {
      return Way.refused("the tool has no cutting diameter", "DC");
    }
    return wish.feed() > 0 ? Optional.empty() : Way.refused("feed fn must be > 0");
  }

  @Override
  public double diameter(Wish wish) {
    return diameter;
  }

  /** What is bored away already takes no part: torque and removal go with D^2 - d^2. */
  @Override
  public Load load(WorkMaterial material, double speed, double rotation, double feed, Wish wish) {
    double ring = 1 - hole * hole / (diameter * diameter);
    double rate = Formulas.VF_REV.apply("n", rotation, "fn", feed);
    double chip = Formulas.H_DRILL.apply("fn", feed, "SIG", pointAngle);
    double kc = Formulas.KC.apply("kc11", material.force(), "mc", material.rise(), "h", chip);
    return new Load(
        rate,
        chip,
        ring * Formulas.Q_DRILL.apply("D", diameter, "vf", rate),
        ring * Formulas.P_DRILL.apply("fn", feed, "vc", speed, "D", diameter, "kc", kc),
        0,
        List.of());
  }
}
