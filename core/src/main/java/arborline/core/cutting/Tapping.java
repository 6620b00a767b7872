package arborline.core.cutting;

import arborline.core.finding.Finding;
import arborline.core.tool.Tool;
import java.util.List;
import java.util.Optional;

/**
 * Threading in one go: the feed is the pitch.
 *
 * @param diameter TD, mm
 * @param pitch TP, mm
 * @param hole PHD, mm; 0 where the sheet says nothing
 */
record Tapping(double diameter, double pitch, double hole, double rpm) implements Way {

  /** Taps run at about a tenth of the speed of milling; handbooks state 10 to 20 m/min in steel. */
  private static final double SPEED_SHARE = 0.1;

  static Tapping of(Tool tool) {
    double perInch = tool.approx("TPI", 0);
    double pitch = tool.approx("TP", perInch > 0 ? 25.4 / perInch : 0);
    return new Tapping(
        tool.approx("TD", tool.approx("DC", 0)), pitch, tool.approx("PHD", 0), Way.rpm(tool));
  }

  @Override
  public List<Ask> asks() {
    return List.of();
  }

  @Override
  public double speedShare() {
    return SPEED_SHARE;
  }

  @Override
  public Feeds feeds(WorkMaterial material) {
    return new Feeds(pitch, pitch);
  }

  @Override
  public Wish begin(double speed, double feed) {
    return new Wish(speed, pitch, 0, 0);
  }

  @Override
  public Optional<Finding> obstacle(Wish wish) {
    if (!(diameter > 0)) {
      return Way.refused("the tool has no thread diameter", "TD");
    }
    return pitch > 0 ? Optional.empty() : Way.refused("the tool has no pitch", "TP");
  }

  @Override
  public double diameter(Wish wish) {
    return diameter;
  }

  @Override
  public double feed(Wish wish) {
    return pitch;
  }

  /** Torque P^2 D kc1.1 / 8000 N·m, of machining textbooks; the power follows from it. */
  @Override
  public Load load(WorkMaterial material, double speed, double rotation, double feed, Wish wish) {
    double torque = pitch * pitch * diameter * material.force() / 8000;
    double drill = hole > 0 ? hole : MoreFormulas.TAP_DRILL.apply("d", diameter, "P", pitch);
    return new Load(
        MoreFormulas.TAP_FEED.apply("n", rotation, "P", pitch),
        pitch,
        0,
        torque * Math.PI * rotation / 30_000,
        0,
        List.of(new Figure(hole > 0 ? "Drilled before" : "Drill before, D - P", drill, "mm")));
  }
}
