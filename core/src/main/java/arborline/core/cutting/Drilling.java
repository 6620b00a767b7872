package arborline.core.cutting;

import arborline.core.cutting.formula.ChipDrilling;
import arborline.core.cutting.formula.FeedRateOfRevolutions;
import arborline.core.cutting.formula.PowerDrilling;
import arborline.core.cutting.formula.RemovalDrilling;
import arborline.core.cutting.formula.SpecificForce;
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
 * @param edges NOF
 */
record Drilling(
    double diameter, double pointAngle, double hole, int edges, UsualPractice practice, double rpm)
    implements CuttingMethod {

  static Drilling of(Tool tool) {
    double diameter = tool.approx("DC", tool.approx("DCX", 0));
    double hole = tool.approx("PHD", 0);
    return new Drilling(
        diameter,
        tool.approx("SIG", 180),
        hole < diameter ? hole : 0,
        (int) Math.max(1, tool.approx("NOF", 2)),
        UsualPractice.of(operation(tool.toolClass()), tool),
        CuttingMethod.rpm(tool));
  }

  private static Operation operation(String toolClass) {
    return switch (toolClass) {
      case "reamer" -> Operation.REAMING;
      case "drill-deep-hole" -> Operation.DEEP_DRILLING;
      default -> Operation.DRILLING;
    };
  }

  @Override
  public List<CutInput> inputs() {
    return List.of(CutInput.FEED_PER_REVOLUTION);
  }

  @Override
  public UsualRange feeds(WorkMaterial material) {
    return practice.feeds(material, diameter);
  }

  @Override
  public CutRequest begin(double speed, double feed) {
    return new CutRequest(speed, feed, 0, 0);
  }

  @Override
  public Optional<Finding> obstacle(CutRequest request) {
    if (!(diameter > 0)) {
      return CuttingMethod.refused("the tool has no cutting diameter", "DC");
    }
    return request.feed() > 0 ? Optional.empty() : CuttingMethod.refused("feed fn must be > 0");
  }

  @Override
  public double diameter(CutRequest request) {
    return diameter;
  }

  /** What is bored away already takes no part: torque and removal go with D^2 - d^2. */
  @Override
  public Load load(
      WorkMaterial material, double speed, double rotation, double feed, CutRequest request) {
    double ring = 1 - hole * hole / (diameter * diameter);
    double rate = FeedRateOfRevolutions.FORMULA.apply("n", rotation, "fn", feed);
    double chip = ChipDrilling.FORMULA.apply("fn", feed, "SIG", pointAngle, "z", edges);
    double kc =
        SpecificForce.FORMULA.apply("kc11", material.force(), "mc", material.rise(), "h", chip);
    return new Load(
        rate,
        chip,
        ring * RemovalDrilling.FORMULA.apply("D", diameter, "vf", rate),
        ring * PowerDrilling.FORMULA.apply("fn", feed, "vc", speed, "D", diameter, "kc", kc),
        0,
        List.of());
  }
}
