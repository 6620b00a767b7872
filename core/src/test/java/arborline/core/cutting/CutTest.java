package arborline.core.cutting;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.finding.Finding;
import arborline.core.tool.Sample;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CutTest {

  private static final double NONE = Double.POSITIVE_INFINITY;
  private static final CuttingMethod MILL = method("CLASS=end-mill-flat DC=10 DMM=10 OAL=72 NOF=4");
  private static final WorkMaterial STEEL = WorkMaterials.named("p-alloy-annealed").orElseThrow();
  private static final CutRequest SLOT = new CutRequest(150, 0.05, 10, 10);

  private static CuttingMethod method(String tool) {
    return CuttingMethod.of(Sample.tool(tool)).orElseThrow();
  }

  private static double figure(Cut cut, String title) {
    return cut.figures().stream()
        .filter(figure -> figure.title().equals(title))
        .findFirst()
        .orElseThrow()
        .value();
  }

  private static List<String> codes(Cut cut) {
    return cut.findings().stream().map(Finding::code).toList();
  }

  /** The worked drill of the textbook: D 10, vc 90, fn 0.2, SIG 140, kc1.1 1700, mc 0.25. */
  @Test
  void drillingAgreesWithTheWorkedCase() {
    Cut cut =
        Cut.of(
            method("CLASS=drill-twist DC=10 SIG=140"),
            STEEL,
            new CutRequest(90, 0.2, 0, 0),
            Limits.NONE);
    assertEquals(2865, cut.rotation(), 0.5);
    assertEquals(573, cut.feedRate(), 0.05);
    assertEquals(0.09397, cut.chip(), 1e-5);
    assertEquals(2.303, cut.power(), 5e-4);
    assertEquals(7.676, cut.torque(), 5e-4);
    assertEquals(45, cut.removal(), 1e-2);
  }

  /** The worked turning of the textbook: vc 200, D 60, ap 3, fn 0.3, KAPR 95. */
  @Test
  void turningAgreesWithTheWorkedCase() {
    CuttingMethod tool = method("CLASS=turning-external KAPR=95 RE=0.8 H=25 B=25 LF=150 HAND=R");
    Cut cut = Cut.of(tool, STEEL, new CutRequest(200, 0.3, 3, 0, 60, false), Limits.NONE);
    assertEquals(1061, cut.rotation(), 0.5);
    assertEquals(0.2989, cut.chip(), 5e-5);
    assertEquals(6.898, cut.power(), 5e-4);
    assertEquals(62.08, cut.torque(), 5e-3);
    assertEquals(14.06, figure(cut, "Roughness Rt"), 5e-3);
  }

  /** The worked face milling of the textbook: D 50, z 4, vc 180, fz 0.15, ap 4, ae 35 centred. */
  @Test
  void millingOverTheMiddleAgreesWithTheWorkedCase() {
    CuttingMethod tool = method("CLASS=end-mill-flat DC=50 NOF=4");
    Cut cut = Cut.of(tool, STEEL, new CutRequest(180, 0.15, 4, 35, 0, true), Limits.NONE);
    assertEquals(1146, cut.rotation(), 0.5);
    assertEquals(687.5, cut.feedRate(), 0.05);
    assertEquals(96.26, cut.removal(), 5e-3);
    assertEquals(4.496, cut.power(), 5e-4);
    assertEquals(37.47, cut.torque(), 5e-3);
  }

  /** A ball of 10 mm at ap 0.5 cuts on 4.359 mm: at vc 150 it turns with 10 950 1/min. */
  @Test
  void aBallTurnsByTheDiameterThatItReaches() {
    CuttingMethod ball = method("CLASS=end-mill-ball DC=10 RE=5 NOF=2");
    Cut cut = Cut.of(ball, STEEL, new CutRequest(150, 0.05, 0.5, 0.5), Limits.NONE);
    assertEquals(4.359, figure(cut, "Effective diameter"), 5e-4);
    assertEquals(10950, cut.rotation(), 5);
    Cut deep = Cut.of(ball, STEEL, new CutRequest(150, 0.05, 5, 0.5), Limits.NONE);
    assertEquals(4775, deep.rotation(), 0.5);
  }

  @ParameterizedTest
  @CsvSource({
    "CLASS=corner-radius_end_mill DC=10 RE=2 NOF=4, 1, 9.464",
    "CLASS=chamfer-mill DC=10 DCN=2 SIG=90 NOF=4, 2, 6",
    "CLASS=end-mill-flat DC=10 NOF=4, 1, 10"
  })
  void slantingAndRoundEdgesReachADiameterByDepth(String tool, double depth, double reached) {
    assertEquals(reached, method(tool).diameter(new CutRequest(100, 0.05, depth, 1)), 5e-4);
  }

  /** n 500 with a pitch of 1.25 feeds 625 mm/min, whatever feed is asked for. */
  @Test
  void aTapFeedsItsPitch() {
    CuttingMethod tap = method("CLASS=tap-cutting TD=8 DC=8 TP=1.25 TDZ=M8");
    Cut cut = Cut.of(tap, STEEL, new CutRequest(Math.PI * 8 * 500 / 1000, 9, 0, 0), Limits.NONE);
    assertEquals(625, cut.feedRate(), 1e-6);
    assertEquals(6.75, figure(cut, "Drill before, D - P"), 1e-9);
    assertEquals(1.25 * 1.25 * 8 * 1700 / 8000, cut.torque(), 1e-9);
    assertTrue(tap.feedIsPitch());
    Cut weak =
        Cut.of(tap, STEEL, new CutRequest(10, 1.25, 0, 0), new Limits(NONE, NONE, 1, 0, NONE));
    assertEquals(1.25, weak.feed(), 1e-9);
    assertEquals(List.of("cut-torque"), codes(weak));
  }

  @Test
  void aReamerTakesOnlyTheRing() {
    Cut full =
        Cut.of(method("CLASS=reamer DC=10"), STEEL, new CutRequest(20, 0.3, 0, 0), Limits.NONE);
    Cut ring =
        Cut.of(
            method("CLASS=reamer DC=10 PHD=9.8"),
            STEEL,
            new CutRequest(20, 0.3, 0, 0),
            Limits.NONE);
    assertEquals(full.power() * (1 - 0.98 * 0.98), ring.power(), 1e-9);
  }

  @ParameterizedTest
  @CsvSource({"probe-touch", "jet-laser", "insert", "no-such-class"})
  void whatDoesNotCutByTurningHasNoCuttingData(String classId) {
    assertTrue(CuttingMethod.of(Sample.tool("CLASS=" + classId + " DC=10")).isEmpty());
  }

  @ParameterizedTest
  @CsvSource({
    "turning-external, 0.2, 3, 0, the diameter of the work must be > 0",
    "turning-external, 0.2, 31, 60, depth ap cannot exceed half the diameter of the work",
    "turning-external, 0, 3, 60, feed fn and depth ap must be > 0",
    "tap-cutting, 1, 0, 0, the tool has no pitch"
  })
  void saysWhatIsMissing(String classId, double feed, double depth, double work, String message) {
    CuttingMethod method = method("CLASS=" + classId + " TD=8");
    CutRequest request = new CutRequest(100, feed, depth, 0, work, false);
    assertEquals(message, Cut.obstacle(method, request).orElseThrow().message());
  }

  @Test
  void depthEndsWithTheEdges() {
    CuttingMethod mill = method("CLASS=end-mill-flat DC=10 APMX=22 NOF=4");
    assertEquals(
        "depth ap 23.00 mm is more than the edges reach, APMX 22.00 mm",
        Cut.obstacle(mill, new CutRequest(100, 0.05, 23, 1)).orElseThrow().message());
  }

  @Test
  void withoutLimitsTheWishIsFulfilled() {
    Cut cut = Cut.of(MILL, STEEL, SLOT, Limits.NONE);
    assertEquals(150, cut.speed(), 1e-9);
    assertEquals(0.05, cut.feed(), 1e-12);
    assertEquals(List.of(), cut.findings());
  }

  @Test
  void aSlowSpindleLowersTheSpeedAndSaysSo() {
    Cut cut = Cut.of(MILL, STEEL, SLOT, new Limits(3000, NONE, NONE, 0, NONE));
    assertEquals(3000, cut.rotation(), 1e-9);
    assertEquals(Math.PI * 30, cut.speed(), 1e-9);
    assertEquals(List.of("cut-rpm"), codes(cut));
  }

  @ParameterizedTest
  @CsvSource({
    "2, Infinity, Infinity, cut-power",
    "Infinity, 4, Infinity, cut-torque",
    "Infinity, Infinity, 5, cut-bend"
  })
  void aLimitLowersTheFeedUntilItIsKept(double power, double torque, double bend, String code) {
    Cut cut = Cut.of(MILL, STEEL, SLOT, new Limits(NONE, power, torque, 0.05, bend));
    assertEquals(code, codes(cut).getFirst());
    assertTrue(cut.feed() < 0.05 && cut.feed() > 0);
    assertEquals(cut.feed() < 0.03, codes(cut).contains("cut-thin"));
    assertTrue(cut.power() <= power && cut.torque() <= torque && cut.bend() <= bend);
    assertTrue(
        cut.power() > 0.99 * power || cut.torque() > 0.99 * torque || cut.bend() > 0.99 * bend);
  }

  @ParameterizedTest
  @CsvSource({"0, 0.1, 1, 1", "100, -1, 1, 1", "100, 0.1, 0, 1", "100, 0.1, 1, 11", "NaN, 1, 1, 1"})
  void whatCannotBeCutIsRefused(double speed, double feed, double depth, double width) {
    CutRequest request = new CutRequest(speed, feed, depth, width);
    assertTrue(Cut.obstacle(MILL, request).isPresent());
    assertThrows(IllegalArgumentException.class, () -> Cut.of(MILL, STEEL, request, Limits.NONE));
  }

  @Test
  void theWindowEndsWhereTheSpindleDoesAndShrinksWithItsPower() {
    Window wide = Window.of(MILL, STEEL, SLOT, Limits.NONE);
    Window slow = Window.of(MILL, STEEL, SLOT, new Limits(3000, NONE, NONE, 0, NONE));
    Window weak = Window.of(MILL, STEEL, SLOT, new Limits(NONE, 2, NONE, 0, NONE));
    assertTrue(wide.points().stream().allMatch(point -> point.by().equals("chip")));
    assertTrue(slow.points().getLast().speed() <= slow.speedHigh());
    assertTrue(weak.points().getLast().feed() < wide.points().getLast().feed());
    assertEquals("power", weak.points().getLast().by());
  }

  @Test
  void everyMaterialHasForceAndRanges() {
    assertTrue(WorkMaterials.all().size() > 20);
    for (WorkMaterial material : WorkMaterials.all()) {
      assertTrue(
          material.force() > 0
              && material.rise() > 0
              && material.speedLow() < material.speedHigh());
      assertTrue(material.feedLow() < material.feedHigh() && "PMKNSHWO".contains(material.group()));
    }
  }
}
