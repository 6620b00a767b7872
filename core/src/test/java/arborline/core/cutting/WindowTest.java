package arborline.core.cutting;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.tool.Sample;
import org.junit.jupiter.api.Test;

class WindowTest {

  private static final double NONE = Double.POSITIVE_INFINITY;
  private static final WorkMaterial STEEL = WorkMaterials.named("p-alloy-annealed").orElseThrow();
  private static final CuttingMethod MILL =
      CuttingMethod.of(Sample.tool("CLASS=end-mill-flat DC=10 NOF=4")).orElseThrow();
  private static final CutRequest SIDE = new CutRequest(150, 0.05, 5, 2);

  /** Usual speeds of 120 to 180 m/min, half below and half above. */
  @Test
  void reachesFromHalfTheLowestToOneAndAHalfOfTheHighestSpeed() {
    Window window = Window.of(MILL, STEEL, SIDE, Limits.NONE);
    assertEquals(41, window.points().size());
    assertEquals(60, window.points().getFirst().speed(), 1e-9);
    assertEquals(65.25, window.points().get(1).speed(), 1e-9);
    assertEquals(270, window.points().getLast().speed(), 1e-9);
    assertEquals(0.03, window.feedLow(), 1e-12);
    assertEquals(0.08, window.feedHigh(), 1e-12);
    assertEquals(NONE, window.speedHigh());
    assertTrue(window.points().stream().allMatch(point -> point.feed() == 0.08));
  }

  /** A drill runs at six tenths of the speed of a mill. */
  @Test
  void followsTheSpeedOfTheWayOfCutting() {
    CuttingMethod drill =
        CuttingMethod.of(Sample.tool("CLASS=drill-twist DC=10 SIG=140")).orElseThrow();
    Window window = Window.of(drill, STEEL, new CutRequest(90, 0.1, 0, 0), Limits.NONE);
    assertEquals(36, window.points().getFirst().speed(), 1e-9);
    assertEquals(162, window.points().getLast().speed(), 1e-9);
  }

  /** 3000 1/min at 10 mm are 94.2 m/min: seven of the steps of 5.25. */
  @Test
  void endsWhereTheSlowerOfSpindleAndToolEnds() {
    Limits slow = new Limits(3000, NONE, NONE, 0, NONE);
    Window window = Window.of(MILL, STEEL, SIDE, slow);
    assertEquals(94.2478, window.speedHigh(), 1e-4);
    assertEquals(7, window.points().size());
    CuttingMethod delicate =
        CuttingMethod.of(Sample.tool("CLASS=end-mill-flat DC=10 NOF=4 RPMX=3000")).orElseThrow();
    assertEquals(7, Window.of(delicate, STEEL, SIDE, Limits.NONE).points().size());
  }
}
