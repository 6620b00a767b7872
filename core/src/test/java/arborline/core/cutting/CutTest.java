package arborline.core.cutting;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.finding.Finding;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CutTest {

  private static final double NONE = Double.POSITIVE_INFINITY;
  private static final Edges MILL = new Edges(10, 4, 90, 180, false, NONE);
  private static final WorkMaterial STEEL = WorkMaterials.named("p-alloy-annealed").orElseThrow();
  private static final Cut.Wish SLOT = new Cut.Wish(150, 0.05, 10, 10);

  private static List<String> codes(Cut cut) {
    return cut.findings().stream().map(Finding::code).toList();
  }

  /** The worked drill of the textbook: D 10, vc 90, fn 0.2, SIG 140, kc1.1 1700, mc 0.25. */
  @Test
  void drillingAgreesWithTheWorkedCase() {
    Cut cut =
        Cut.of(
            new Edges(10, 2, 90, 140, true, NONE), STEEL, new Cut.Wish(90, 0.2, 0, 0), Limits.NONE);
    assertEquals(2865, cut.rotation(), 0.5);
    assertEquals(573, cut.feedRate(), 0.05);
    assertEquals(0.09397, cut.chip(), 1e-5);
    assertEquals(2.303, cut.power(), 5e-4);
    assertEquals(7.676, cut.torque(), 5e-4);
    assertEquals(45, cut.removal(), 1e-2);
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
    Cut.Wish wish = new Cut.Wish(speed, feed, depth, width);
    assertTrue(Cut.obstacle(MILL, wish).isPresent());
    assertThrows(IllegalArgumentException.class, () -> Cut.of(MILL, STEEL, wish, Limits.NONE));
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
    for (WorkMaterial each : WorkMaterials.all()) {
      assertTrue(each.force() > 0 && each.rise() > 0 && each.speedLow() < each.speedHigh());
      assertTrue(each.feedLow() < each.feedHigh() && "PMKNSHWO".contains(each.group()));
    }
  }
}
