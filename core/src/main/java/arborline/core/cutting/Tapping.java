package arborline.core.cutting;

import arborline.core.cutting.formula.FormingTapHole;
import arborline.core.cutting.formula.Formula;
import arborline.core.cutting.formula.TapFeedRate;
import arborline.core.cutting.formula.TapHole;
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
 * @param forming true where it presses the thread instead of cutting it
 */
record Tapping(
    double diameter, double pitch, double hole, boolean forming, UsualPractice practice, double rpm)
    implements CuttingMethod {

  /** Handbooks state 1.5 to 2 times the torque of cutting. */
  private static final double FORMING_TORQUE = 1.75;

  private static final String FORMING = "tap-forming";

  static Tapping of(Tool tool) {
    double perInch = tool.approx("TPI", 0);
    double pitch = tool.approx("TP", perInch > 0 ? 25.4 / perInch : 0);
    return new Tapping(
        tool.approx("TD", tool.approx("DC", 0)),
        pitch,
        tool.approx("PHD", 0),
        tool.toolClass().equals(FORMING),
        UsualPractice.of(Operation.TAPPING, tool),
        CuttingMethod.rpm(tool));
  }

  @Override
  public List<CutInput> inputs() {
    return List.of();
  }

  @Override
  public UsualRange feeds(WorkMaterial material) {
    return new UsualRange(pitch, pitch);
  }

  @Override
  public CutRequest begin(double speed, double feed) {
    return new CutRequest(speed, pitch, 0, 0);
  }

  @Override
  public Optional<Finding> obstacle(CutRequest request) {
    if (!(diameter > 0)) {
      return CuttingMethod.refused("the tool has no thread diameter", "TD");
    }
    return pitch > 0 ? Optional.empty() : CuttingMethod.refused("the tool has no pitch", "TP");
  }

  @Override
  public double diameter(CutRequest request) {
    return diameter;
  }

  @Override
  public double feed(CutRequest request) {
    return pitch;
  }

  /** Torque of cutting P^2 D kc1.1 / 8000 N·m, of machining textbooks; the power follows. */
  @Override
  public Load load(
      WorkMaterial material, double speed, double rotation, double feed, CutRequest request) {
    double cutting = pitch * pitch * diameter * material.force() / 8000;
    double torque = forming ? FORMING_TORQUE * cutting : cutting;
    Formula before = forming ? FormingTapHole.FORMULA : TapHole.FORMULA;
    double drill = hole > 0 ? hole : before.apply("d", diameter, "P", pitch);
    String usual = forming ? "Drill before, D - 0.5 P" : "Drill before, D - P";
    return new Load(
        TapFeedRate.FORMULA.apply("n", rotation, "P", pitch),
        pitch,
        0,
        torque * Math.PI * rotation / 30_000,
        0,
        List.of(new Figure(hole > 0 ? "Drilled before" : usual, drill, "mm")));
  }
}
