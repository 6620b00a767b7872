package arborline.core.cutting;

import arborline.core.cutting.formula.BallDiameter;
import arborline.core.cutting.formula.EdgeGeometry;
import arborline.core.cutting.formula.FeedRateOfTeeth;
import arborline.core.cutting.formula.Inputs;
import arborline.core.cutting.formula.LargestChipAtSide;
import arborline.core.cutting.formula.MeanChipAtSide;
import arborline.core.cutting.formula.MeanChipOverMiddle;
import arborline.core.cutting.formula.PowerMilling;
import arborline.core.cutting.formula.RemovalMilling;
import arborline.core.cutting.formula.RidgeHeight;
import arborline.core.cutting.formula.SpecificForce;
import arborline.core.finding.Finding;
import arborline.core.tool.Tool;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * Edges that enter and leave the work.
 *
 * @param diameter DC, mm
 * @param tip diameter of the flat at the front of a cone, mm; equal to the diameter where there is
 *     no cone
 * @param flank half of the angle of that cone, degrees; 90 without one
 * @param corner RE, mm
 * @param teeth that cut in turn
 * @param edgeAngle KAPR, degrees
 * @param depth that its edges reach along the axis, mm; infinite where the sheet says nothing
 * @param slot width CW of the slot it cuts, mm; 0 where it is no disc
 * @param hung true for what is hung on an arbor and used over the middle of the work
 */
record Milling(
    double diameter,
    double tip,
    double flank,
    double corner,
    int teeth,
    double edgeAngle,
    double depth,
    double slot,
    boolean hung,
    UsualPractice practice,
    double rpm)
    implements CuttingMethod {

  private static final double SIDE = 0.3;
  private static final double FACE = 0.7;
  private static final double SHALLOW = 0.1;
  private static final double FACE_DEPTH = 2;

  /** Mean force across the tool in N is 60 000 P / vc. */
  private static final double MEAN_FORCE = 60_000;

  static Milling of(Tool tool) {
    double diameter = tool.approx("DC", tool.approx("DCX", tool.approx("TD", 0)));
    boolean cone = tool.has("SIG") && tool.has("DCN");
    return new Milling(
        diameter,
        cone ? tool.approx("DCN", 0) : diameter,
        cone ? tool.approx("SIG", 180) / 2 : 90,
        tool.approx("RE", 0),
        (int) Math.max(1, tool.approx("ZEFP", tool.approx("NOF", tool.approx("CICT", 1)))),
        cone ? tool.approx("SIG", 180) / 2 : tool.approx("KAPR", 90),
        tool.approx("APMX", Double.POSITIVE_INFINITY),
        tool.approx("CW", 0),
        tool.has("DCONMS") && !tool.has("CW"),
        UsualPractice.of(disc(tool) ? Operation.DISC_MILLING : Operation.MILLING, tool),
        CuttingMethod.rpm(tool));
  }

  private static boolean disc(Tool tool) {
    return tool.has("CW") && tool.has("DCONMS");
  }

  @Override
  public List<CutInput> inputs() {
    return List.of(CutInput.FEED_PER_TOOTH, CutInput.DEPTH, CutInput.WIDTH, CutInput.CENTRED);
  }

  @Override
  public UsualRange feeds(WorkMaterial material) {
    return practice.feeds(material, diameter);
  }

  @Override
  public CutRequest begin(double speed, double feed) {
    boolean ball = corner > 0 && corner >= diameter / 2 - 1e-6;
    double along =
        slot > 0 ? slot : hung ? FACE_DEPTH : ball ? SHALLOW * diameter : Math.min(diameter, depth);
    double across = hung ? FACE : slot > 0 || ball ? SHALLOW : SIDE;
    return new CutRequest(
        speed,
        feed,
        Math.rint(Math.min(along, depth) * 100) / 100,
        Math.rint(diameter * across * 100) / 100,
        0,
        hung);
  }

  @Override
  public Optional<Finding> obstacle(CutRequest request) {
    if (!(diameter > 0)) {
      return CuttingMethod.refused("the tool has no cutting diameter", "DC");
    }
    if (!(request.feed() > 0)) {
      return CuttingMethod.refused("feed fz must be > 0");
    }
    if (!(request.depth() > 0) || !(request.width() > 0)) {
      return CuttingMethod.refused("depth ap and width ae must be > 0");
    }
    if (request.width() > diameter) {
      return Optional.of(Finding.hold("cut-width", "ae cannot exceed D"));
    }
    return request.depth() > depth + 1e-9
        ? CuttingMethod.refused(
            String.format(
                Locale.ROOT,
                "depth ap %.2f mm is more than the edges reach, APMX %.2f mm",
                request.depth(),
                depth),
            "APMX")
        : Optional.empty();
  }

  /** Where a round or slanting edge cuts no deeper than ap, the diameter reached there. */
  @Override
  public double diameter(CutRequest request) {
    if (corner > 0 && request.depth() < corner) {
      double flat = Math.max(0, diameter - 2 * corner);
      return flat + BallDiameter.FORMULA.apply("D", 2 * corner, "ap", request.depth());
    }
    double slanting = tip + 2 * request.depth() * Math.tan(Math.toRadians(Math.min(flank, 89)));
    return tip < diameter ? Math.min(diameter, slanting) : diameter;
  }

  /** The flat front leaves no ridge; only what its corners leave between two rows, um. */
  private double ridge(double width) {
    double between = Math.min(width - Math.max(0, diameter - 2 * corner), 2 * corner);
    return between > 0 ? RidgeHeight.FORMULA.apply("R", corner, "ae", between) : 0;
  }

  @Override
  public Load load(
      WorkMaterial material, double speed, double rotation, double feed, CutRequest request) {
    double rate = FeedRateOfTeeth.FORMULA.apply("n", rotation, "z", teeth, "fz", feed);
    Inputs engaged = Inputs.of("fz", feed, "ae", request.width(), "D", diameter, "ka", edgeAngle);
    double mean =
        (request.centred() ? MeanChipOverMiddle.FORMULA : MeanChipAtSide.FORMULA).apply(engaged);
    double chip =
        request.centred()
            ? feed * EdgeGeometry.sinKappa(engaged)
            : LargestChipAtSide.FORMULA.apply(engaged);
    double kc =
        SpecificForce.FORMULA.apply("kc11", material.force(), "mc", material.rise(), "h", mean);
    double power =
        PowerMilling.FORMULA.apply(
            "ap", request.depth(), "ae", request.width(), "vf", rate, "kc", kc);
    List<Figure> figures = new ArrayList<>();
    double reached = diameter(request);
    if (reached < diameter - 1e-6) {
      figures.add(new Figure("Effective diameter", reached, "mm"));
    }
    if (chip < feed * 0.999) {
      figures.add(new Figure("Chip over feed", chip / feed, ""));
    }
    if (corner > 0) {
      figures.add(new Figure("Ridge at this width", ridge(request.width()), "um"));
    }
    return new Load(
        rate,
        chip,
        RemovalMilling.FORMULA.apply("ap", request.depth(), "ae", request.width(), "vf", rate),
        power,
        MEAN_FORCE * power / speed,
        figures);
  }
}
