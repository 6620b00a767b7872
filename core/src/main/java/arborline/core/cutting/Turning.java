package arborline.core.cutting;

import arborline.core.cutting.formula.ChipTurning;
import arborline.core.cutting.formula.FeedRateOfRevolutions;
import arborline.core.cutting.formula.PowerTurning;
import arborline.core.cutting.formula.RemovalTurning;
import arborline.core.cutting.formula.Roughness;
import arborline.core.cutting.formula.SpecificForce;
import arborline.core.finding.Finding;
import arborline.core.tool.Tool;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * One edge that stays in the work: turning, boring, grooving.
 *
 * @param edgeAngle KAPR, degrees
 * @param corner RE, mm; 0 where the sheet says nothing
 * @param width CW of a groove, mm; 0 where it is no groove
 * @param thread pitch, mm; 0 where it cuts no thread
 * @param bore diameter that a rotating bar is set to, or least bore, mm; 0 for outside work
 */
record Turning(
    double edgeAngle,
    double corner,
    double width,
    double thread,
    double bore,
    UsualPractice practice,
    double rpm)
    implements CuttingMethod {

  private static final double LOW = 0.2;
  private static final double HIGH = 0.6;
  private static final double GROOVE_LOW = 0.02;
  private static final double GROOVE_HIGH = 0.05;
  private static final double OUTSIDE = 50;
  private static final double DEPTH_PER_CORNER = 2.5;
  private static final double USUAL_CORNER = 0.8;

  static Turning of(Tool tool) {
    double width = tool.approx("CW", 0);
    double thread = tool.has("TPN") ? tool.approx("TP", tool.approx("TPN", 0)) : 0;
    Operation operation =
        thread > 0 ? Operation.THREAD_TURNING : width > 0 ? Operation.GROOVING : Operation.TURNING;
    return new Turning(
        tool.approx("KAPR", 90),
        tool.approx("RE", 0),
        width,
        thread,
        tool.approx("DC", tool.approx("DMIN", tool.approx("DCX", 0))),
        UsualPractice.of(operation, tool),
        CuttingMethod.rpm(tool));
  }

  @Override
  public List<CutInput> inputs() {
    return thread > 0
        ? List.of(CutInput.DEPTH, CutInput.WORK)
        : List.of(CutInput.FEED_PER_REVOLUTION, CutInput.DEPTH, CutInput.WORK);
  }

  @Override
  public double feed(CutRequest request) {
    return thread > 0 ? thread : request.feed();
  }

  /**
   * A fifth to three fifths of the corner radius; in grooves 2 to 5 hundredths of their width; less
   * in what is hard to cut; the pitch for threads.
   */
  @Override
  public UsualRange feeds(WorkMaterial material) {
    if (thread > 0) {
      return new UsualRange(thread, thread);
    }
    double share = practice.operation().feedShare(material);
    if (width > 0) {
      return new UsualRange(GROOVE_LOW * width, GROOVE_HIGH * width).times(share);
    }
    double radius = corner > 0 ? corner : USUAL_CORNER;
    return new UsualRange(LOW * radius, HIGH * radius).times(share);
  }

  @Override
  public CutRequest begin(double speed, double feed) {
    double depth =
        width > 0
            ? width
            : thread > 0 ? 0.1 : DEPTH_PER_CORNER * (corner > 0 ? corner : USUAL_CORNER);
    return new CutRequest(speed, feed, depth, 0, bore > 0 ? bore : OUTSIDE, false);
  }

  @Override
  public Optional<Finding> obstacle(CutRequest request) {
    if (!(feed(request) > 0) || !(request.depth() > 0)) {
      return CuttingMethod.refused("feed fn and depth ap must be > 0");
    }
    if (!(request.work() > 0)) {
      return CuttingMethod.refused("the diameter of the work must be > 0");
    }
    return request.depth() > request.work() / 2
        ? CuttingMethod.refused("depth ap cannot exceed half the diameter of the work")
        : Optional.empty();
  }

  @Override
  public double diameter(CutRequest request) {
    return request.work();
  }

  @Override
  public Load load(
      WorkMaterial material, double speed, double rotation, double feed, CutRequest request) {
    double chip = ChipTurning.FORMULA.apply("fn", feed, "ka", edgeAngle);
    double kc =
        SpecificForce.FORMULA.apply("kc11", material.force(), "mc", material.rise(), "h", chip);
    List<Figure> figures = new ArrayList<>();
    figures.add(new Figure("Cutting force", kc * request.depth() * feed, "N"));
    if (corner > 0 && width == 0) {
      figures.add(
          new Figure("Roughness Rt", Roughness.FORMULA.apply("fn", feed, "RE", corner), "um"));
    }
    return new Load(
        FeedRateOfRevolutions.FORMULA.apply("n", rotation, "fn", feed),
        chip,
        RemovalTurning.FORMULA.apply("vc", speed, "ap", request.depth(), "fn", feed),
        PowerTurning.FORMULA.apply("vc", speed, "ap", request.depth(), "fn", feed, "kc", kc),
        kc * request.depth() * feed,
        figures);
  }
}
