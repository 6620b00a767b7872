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
import java.util.List;
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

  private static void assertPolygon(Part part, double... expected) {
    List<Point> found = part.profile();
    assertEquals(expected.length / 2, found.size());
    for (int i = 0; i < found.size(); i++) {
      assertEquals(expected[2 * i], found.get(i).z(), 1e-6, found.toString());
      assertEquals(expected[2 * i + 1], found.get(i).r(), 1e-6, found.toString());
    }
  }

  /** Shank 25 high, insert of 12.7: the work is as large as the larger of 25 and 25.4. */
  @Test
  void aToolOnARearTurretIsDrawnToScale() {
    MountedFront front = front(Side.REAR, Work.EXTERNAL, Hand.R, false, false);
    assertEquals(List.of(25.4), front.work());
    assertPolygon(front.tool().getFirst(), 25.4, 0, 65.4, 0, 65.4, 25, 25.4, 25);
    assertPolygon(front.tool().getLast(), 25.4, 0, 38.1, 0, 38.1, 4.445, 25.4, 4.445);
  }

  @Test
  void aFaceToolOnAFrontTurretStandsOnTheOtherSide() {
    MountedFront front = front(Side.FRONT, Work.FACE, Hand.R, true, false);
    assertEquals(List.of(50.8), front.work());
    assertPolygon(front.tool().getFirst(), -25.4, 0, -50.4, 0, -50.4, -25, -25.4, -25);
    assertPolygon(front.tool().getLast(), -25.4, 0, -38.1, 0, -38.1, -4.445, -25.4, -4.445);
  }

  /** Bar of 20 with WF 13 in a bore 1.2 times the shown radius of 20. */
  @Test
  void aBarIsDrawnToScale() {
    MountedFront front = front(Side.REAR, Work.INTERNAL, Hand.R, false, false);
    assertEquals(List.of(24.0, 40.0), front.work());
    int side =
        Orientation.of(
                    new Mounting(
                        Side.REAR, false, false, false, true, Work.INTERNAL, Hand.R, false))
                .contact()
                .equals("front")
            ? -1
            : 1;
    List<Point> bar = front.tool().getFirst().profile();
    assertEquals(36, bar.size());
    assertEquals(side * 11 + 10, bar.getFirst().z(), 1e-9);
    assertEquals(10, bar.get(9).r(), 1e-9);
    assertEquals(side * 11.0, bar.get(9).z(), 1e-9);
    double thick = 0.35 * 9.525;
    assertPolygon(
        front.tool().getLast(),
        side * 24.0,
        0,
        side * (24 - 9.525),
        0,
        side * (24 - 9.525),
        thick,
        side * Math.sqrt(24 * 24 - thick * thick),
        thick);
  }

  @Test
  void aToolOnTheAxisIsRoundInTheMiddle() {
    Tool drill = Sample.tool("CLASS=drill-twist DC=10 SIG=140 LCF=50 DMM=12 OAL=89 NOF=2");
    Mounting mounting =
        new Mounting(Side.REAR, false, false, false, true, Work.CENTER, Hand.R, false);
    MountedFront front = MountedFront.of(mounting, drill);
    assertEquals(List.of(24.0), front.work());
    assertTrue(
        front.tool().getFirst().profile().stream()
            .allMatch(point -> Math.abs(Math.hypot(point.z(), point.r()) - 5) < 1e-9));
  }
}
