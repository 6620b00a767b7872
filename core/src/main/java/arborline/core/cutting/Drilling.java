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
    double diameter, double pointAngle, double hole, int edges, Practice practice, double rpm)
    implements CuttingMethod {

  /**
   * What hole making does otherwise than milling in the same material.
   *
   * @param speed over that of milling
   * @param feed per revolution over the feed per tooth of a mill
   */
  record Practice(double speed, double feed) {}

  /** Handbooks: 25 to 30 m/min with HSS and 80 to 110 with carbide in steel. */
  private static final Practice DRILLS = new Practice(0.6, 2);

  /** Handbooks: 8 to 12 m/min with HSS and 20 to 40 with carbide in steel, 0.2 mm at 10 mm. */
  private static final Practice REAMS = new Practice(0.18, 4);

  /** Handbooks: 60 to 90 m/min, 0.02 to 0.04 mm at 8 mm. */
  private static final Practice DEEP = new Practice(0.5, 0.65);

  static Drilling of(Tool tool) {
    double diameter = tool.approx("DC", tool.approx("DCX", 0));
    double hole = tool.approx("PHD", 0);
    return new Drilling(
        diameter,
        tool.approx("SIG", 180),
        hole < diameter ? hole : 0,
        (int) Math.max(1, tool.approx("NOF", 2)),
        practice(tool.toolClass()),
        CuttingMethod.rpm(tool));
  }

  private static Practice practice(String toolClass) {
    return switch (toolClass) {
      case "reamer" -> REAMS;
      case "drill-deep-hole" -> DEEP;
      default -> DRILLS;
    };
  }

  @Override
  public double speedShare() {
    return practice.speed();
  }

  @Override
  public List<Ask> asks() {
    return List.of(Ask.FEED_PER_REVOLUTION);
  }

  @Override
  public Feeds feeds(WorkMaterial material) {
    return Feeds.scaled(material, diameter, practice.feed());
  }

  @Override
  public CutRequest begin(double speed, double feed) {
    return new CutRequest(speed, feed, 0, 0);
  }

  @Override
  public Optional<Finding> obstacle(CutRequest wish) {
    if (!(diameter > 0)) {
      return CuttingMethod.refused("the tool has no cutting diameter", "DC");
    }
    return wish.feed() > 0 ? Optional.empty() : CuttingMethod.refused("feed fn must be > 0");
  }

  @Override
  public double diameter(CutRequest wish) {
    return diameter;
  }

  /** What is bored away already takes no part: torque and removal go with D^2 - d^2. */
  @Override
  public Load load(
      WorkMaterial material, double speed, double rotation, double feed, CutRequest wish) {
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
