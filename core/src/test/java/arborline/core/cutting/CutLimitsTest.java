package arborline.core.cutting;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.tool.Sample;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Where a cut is still possible, and what is said just beyond. */
class CutLimitsTest {

  private static final double NONE = Double.POSITIVE_INFINITY;
  private static final WorkMaterial STEEL = WorkMaterials.named("p-alloy-annealed").orElseThrow();
  private static final String MILL = "CLASS=end-mill-flat DC=10 APMX=22 NOF=4";

  private static CuttingMethod method(String tool) {
    return CuttingMethod.of(Sample.tool(tool)).orElseThrow();
  }

  private static String refusal(String tool, CutRequest request) {
    return Cut.obstacle(method(tool), request).map(finding -> finding.message()).orElse("");
  }

  private static Cut cut(String tool, CutRequest request) {
    return Cut.of(method(tool), STEEL, request, Limits.NONE);
  }

  private static Optional<Double> figure(Cut cut, String title) {
    return cut.figures().stream()
        .filter(figure -> figure.title().equals(title))
        .map(Figure::value)
        .findFirst();
  }

  @ParameterizedTest(name = "ap {1}, ae {2}, f {0}: {3}")
  @CsvSource({
    "0.05, 22, 10, ''",
    "0.05, 22.1, 10, 'depth ap 22.10 mm is more than the edges reach, APMX 22.00 mm'",
    "0.05, 22, 10.1, ae cannot exceed D",
    "0, 22, 10, feed fz must be > 0",
    "0.05, 0, 10, depth ap and width ae must be > 0",
    "0.05, 5, 0, depth ap and width ae must be > 0"
  })
  void aMillCutsUpToItsOwnSize(double feed, double depth, double width, String said) {
    assertEquals(said, refusal(MILL, new CutRequest(150, feed, depth, width)));
  }

  @ParameterizedTest
  @CsvSource({
    "CLASS=end-mill-flat NOF=4, the tool has no cutting diameter",
    "CLASS=drill-twist SIG=140, the tool has no cutting diameter",
    "CLASS=tap-cutting TP=1, the tool has no thread diameter"
  })
  void withoutADiameterNothingTurns(String tool, String said) {
    assertEquals(said, refusal(tool, new CutRequest(100, 0.1, 1, 1)));
  }

  @Test
  void aDrillNeedsAFeed() {
    assertEquals(
        "feed fn must be > 0",
        refusal("CLASS=drill-twist DC=10 SIG=140", new CutRequest(90, 0, 0, 0)));
    assertEquals("", refusal("CLASS=drill-twist DC=10 SIG=140", new CutRequest(90, 0.1, 0, 0)));
  }

  @Test
  void workIsTurnedDownToItsMiddle() {
    String tool = "CLASS=turning-external KAPR=95 RE=0.8 H=25 B=25";
    assertEquals("", refusal(tool, new CutRequest(180, 0.2, 30, 0, 60, false)));
    assertEquals(
        "depth ap cannot exceed half the diameter of the work",
        refusal(tool, new CutRequest(180, 0.2, 30.1, 0, 60, false)));
    assertEquals(
        "feed fn and depth ap must be > 0",
        refusal(tool, new CutRequest(180, 0.2, 0, 0, 60, false)));
  }

  /** Corners of R 2 under a flat of 6 mm: rows 8 mm apart leave R - sqrt(R^2 - 1) between. */
  @ParameterizedTest(name = "{0} at ae {1} leaves {2} um")
  @CsvSource({
    "CLASS=end-mill-corner-radius DC=10 RE=2 NOF=4, 8, 267.949",
    "CLASS=end-mill-corner-radius DC=10 RE=2 NOF=4, 6, 0",
    "CLASS=end-mill-corner-radius DC=10 RE=2 NOF=4, 10, 2000",
    "CLASS=end-mill-ball DC=10 RE=5 NOF=2, 1, 25.063"
  })
  void onlyTheCornersLeaveARidge(String tool, double width, double ridge) {
    Cut cut = cut(tool, new CutRequest(150, 0.05, 3, width));
    assertEquals(ridge, figure(cut, "Ridge at this width").orElseThrow(), 1e-3);
  }

  @Test
  void figuresStandOnlyWhereTheySaySomething() {
    Cut slot = cut(MILL, new CutRequest(150, 0.05, 5, 10));
    assertEquals(List.of(), slot.figures());
    Cut side = cut(MILL, new CutRequest(150, 0.05, 5, 2));
    assertEquals(0.8, figure(side, "Chip over feed").orElseThrow(), 1e-9);
    Cut round =
        cut("CLASS=end-mill-corner-radius DC=10 RE=2 NOF=4", new CutRequest(150, 0.05, 2, 10));
    assertTrue(figure(round, "Effective diameter").isEmpty());
    Cut sharp =
        cut("CLASS=turning-external KAPR=95 H=25 B=25", new CutRequest(180, 0.2, 2, 0, 60, false));
    assertTrue(figure(sharp, "Roughness Rt").isEmpty());
    assertTrue(figure(sharp, "Cutting force").orElseThrow() > 0);
  }

  /** Mean force across the tool: 60 000 P / vc; the tip bends in proportion. */
  @Test
  void theMeanForceBendsTheTool() {
    CutRequest request = new CutRequest(150, 0.05, 5, 2);
    Cut cut = Cut.of(method(MILL), STEEL, request, new Limits(NONE, NONE, NONE, 0.04, NONE));
    assertEquals(60_000 * cut.power() / 150, cut.force(), 1e-9);
    assertEquals(cut.force() * 0.04, cut.bend(), 1e-9);
    Cut turned =
        cut(
            "CLASS=turning-external KAPR=90 RE=0.8 H=25 B=25",
            new CutRequest(180, 0.2, 2, 0, 60, false));
    double kc = 1700 * Math.pow(0.2, -0.25);
    assertEquals(kc * 2 * 0.2, turned.force(), 1e-6);
    assertEquals(kc * 2 * 0.2, figure(turned, "Cutting force").orElseThrow(), 1e-6);
  }

  @ParameterizedTest(name = "spindle {0}, tool {1}: {2} is slower")
  @CsvSource({"3000, 9000, the spindle", "9000, 3000, the tool", "3000, 3000, the spindle"})
  void whoeverIsSlowerIsNamed(double spindle, int tool, String slower) {
    Cut cut =
        Cut.of(
            method(MILL + " RPMX=" + tool),
            STEEL,
            new CutRequest(150, 0.05, 5, 2),
            new Limits(spindle, NONE, NONE, 0, NONE));
    assertEquals(
        "4775 1/min wanted, " + slower + " allows 3000", cut.findings().getFirst().message());
    assertEquals("chip", cut.limitedBy());
  }

  @Test
  void whatIsJustThereIsEnough() {
    CutRequest request = new CutRequest(150, 0.05, 5, 2);
    Cut free = Cut.of(method(MILL), STEEL, request, Limits.NONE);
    Cut just =
        Cut.of(
            method(MILL),
            STEEL,
            request,
            new Limits(free.rotation(), free.power(), free.torque(), 0, NONE));
    assertEquals(List.of(), just.findings());
    assertEquals(0.05, just.feed(), 1e-12);
  }

  @Test
  void theLastLimitIsTheOneThatCounts() {
    Cut cut =
        Cut.of(
            method(MILL),
            STEEL,
            new CutRequest(150, 0.05, 10, 10),
            new Limits(NONE, 2, 3, 0, NONE));
    assertEquals("torque", cut.limitedBy());
  }
}
