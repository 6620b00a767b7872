package arborline.core.turning;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.tool.Sample;
import arborline.core.tool.Tool;
import arborline.core.tool.outline.Part;
import arborline.core.tool.outline.Point;
import arborline.core.turning.Mounting.Hand;
import arborline.core.turning.Mounting.Side;
import arborline.core.turning.Mounting.Work;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class MountedFrontTest {

  private static final Tool EXTERNAL =
      Sample.tool("CLASS=turning-external KAPR=95 RE=0.8 H=25 B=25 WF=32 LF=150 SC=C IC=12.7");
  private static final Tool BAR =
      Sample.tool("CLASS=turning-internal KAPR=95 RE=0.4 DMM=20 WF=13 DMIN=25 LF=180 IC=9.525");

  private static MountedFront front(Side side, Work work, Hand hand, boolean rakeUp, boolean sub) {
    Mounting mounting =
        new Mounting(side, false, sub, false, work != Work.EXTERNAL, work, hand, rakeUp);
    return MountedFront.of(mounting, work == Work.INTERNAL ? BAR : EXTERNAL);
  }

  /** What the work does at the contact: +1 where it moves up there. */
  private static int rises(MountedFront front, int side) {
    return front.clockwise() ? -side : side;
  }

  /** The work runs onto the rake face: up where that looks down, down where it looks up. */
  @ParameterizedTest(name = "{0} {1} rake up {2}, sub {3}")
  @CsvSource({
    "REAR, R, false, false", "REAR, L, true, false", "FRONT, R, true, false",
    "FRONT, L, true, false", "REAR, R, true, true", "REAR, L, false, true"
  })
  void theWorkRunsOntoTheRakeFace(Side side, Hand hand, boolean rakeUp, boolean sub) {
    MountedFront front = front(side, Work.EXTERNAL, hand, rakeUp, sub);
    assertEquals(rakeUp ? -1 : 1, rises(front, side == Side.REAR ? 1 : -1));
  }

  @ParameterizedTest
  @CsvSource({"REAR, true", "REAR, false", "FRONT, true", "FRONT, false"})
  void theShankLiesBehindItsRakeFaceOnTheSideOfTheTurret(Side side, boolean rakeUp) {
    Part shank = front(side, Work.EXTERNAL, Hand.R, rakeUp, false).tool().getFirst();
    double x = shank.profile().stream().mapToDouble(Point::z).average().orElseThrow();
    double y = shank.profile().stream().mapToDouble(Point::r).average().orElseThrow();
    assertTrue(side == Side.REAR ? x > 0 : x < 0);
    assertTrue(rakeUp ? y < 0 : y > 0);
  }

  @Test
  void aBarStandsInsideItsBore() {
    MountedFront front = front(Side.REAR, Work.INTERNAL, Hand.R, false, false);
    double bore = front.work().getFirst();
    assertTrue(
        front.tool().stream()
            .flatMap(part -> part.profile().stream())
            .allMatch(point -> Math.hypot(point.z(), point.r()) <= bore + 1e-9));
    assertEquals(2, front.work().size());
  }

  @Test
  void whatCannotBeMountedHasNoView() {
    assertThrows(
        IllegalArgumentException.class,
        () -> front(Side.REAR, Work.INTERNAL, Hand.N, false, false));
  }
}
