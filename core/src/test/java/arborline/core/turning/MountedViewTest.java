package arborline.core.turning;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.tool.Sample;
import arborline.core.tool.outline.Outline;
import arborline.core.tool.outline.Part;
import arborline.core.tool.outline.Point;
import arborline.core.turning.Mounting.Hand;
import arborline.core.turning.Mounting.Side;
import arborline.core.turning.Mounting.Work;
import java.util.ArrayList;
import java.util.List;
import java.util.function.ToDoubleFunction;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class MountedViewTest {

  private static final String EXTERNAL =
      "CLASS=turning-external KAPR=95 RE=0.8 H=25 B=25 WF=32 LF=150 SC=C IC=12.7 HAND=";
  private static final String BAR =
      "CLASS=turning-internal KAPR=95 RE=0.4 DMM=20 WF=13 DMIN=25 LF=180 SC=C IC=9.525 HAND=";

  private static Mounting mounting(Side side, Work work, Hand hand, boolean sub) {
    return new Mounting(side, false, sub, false, work != Work.EXTERNAL, work, hand, true);
  }

  private static MountedView mounted(Side side, Work work, Hand hand, boolean sub) {
    Outline outline = Sample.outline((work == Work.INTERNAL ? BAR : EXTERNAL) + hand);
    return MountedView.of(mounting(side, work, hand, sub), outline, hand == Hand.L);
  }

  private static double mean(MountedView mounted, Part.Kind kind, ToDoubleFunction<Point> of) {
    return mounted.tool().stream()
        .filter(part -> part.kind() == kind)
        .flatMap(part -> part.profile().stream())
        .mapToDouble(of)
        .average()
        .orElseThrow();
  }

  @ParameterizedTest
  @CsvSource({"FRONT, 1", "REAR, -1"})
  void theShankOfAnExternalToolPointsToItsTurret(Side side, int sign) {
    MountedView mounted = mounted(side, Work.EXTERNAL, Hand.R, false);
    assertTrue(sign * mean(mounted, Part.Kind.SHANK, Point::r) > 50);
    assertTrue(sign * mounted.axis() < 0, "the axis lies beyond the nose");
  }

  @ParameterizedTest
  @CsvSource({"R, false", "L, false", "R, true", "L, true"})
  void theNoseLiesAtTheOrigin(Hand hand, boolean sub) {
    MountedView mounted = mounted(Side.REAR, Work.EXTERNAL, hand, sub);
    Part insert =
        mounted.tool().stream()
            .filter(p -> p.kind() == Part.Kind.CUTTING)
            .findFirst()
            .orElseThrow();
    assertEquals(0, insert.profile().getFirst().z(), 1e-9);
    assertEquals(0, insert.profile().getFirst().r(), 1e-9);
  }

  /** Fed towards the chuck, the shank trails on the other side of the nose. */
  @Test
  void whatIsNotCutYetLiesInTheWayOfTheFeed() {
    MountedView mounted = mounted(Side.REAR, Work.EXTERNAL, Hand.R, false);
    String feed = Orientation.of(mounting(Side.REAR, Work.EXTERNAL, Hand.R, false)).feed();
    int ahead = feed.equals("toward_chuck") ? -1 : 1;
    List<Point> uncut = mounted.work().getLast();
    assertEquals(ahead, Math.signum(uncut.get(1).z()));
    assertTrue(ahead * mean(mounted, Part.Kind.SHANK, Point::z) < 0);
  }

  @ParameterizedTest
  @CsvSource({"false, 1", "true, -1"})
  void aBarReachesIntoTheBoreTowardsItsChuck(boolean sub, int away) {
    MountedView mounted = mounted(Side.REAR, Work.INTERNAL, Hand.R, sub);
    assertTrue(away * mean(mounted, Part.Kind.SHANK, Point::z) > 50);
  }

  @Test
  void aToolOnTheAxisIsCentred() {
    Outline drill = Sample.outline("CLASS=drill-twist DC=10 SIG=140 LCF=50 DMM=10 OAL=89 NOF=2");
    MountedView mounted =
        MountedView.of(mounting(Side.FRONT, Work.CENTER, Hand.R, false), drill, false);
    assertEquals(0, mounted.axis());
    assertEquals(0, mean(mounted, Part.Kind.CUTTING, Point::r), 1e-9);
  }

  @Test
  void whatCannotBeMountedHasNoSeat() {
    assertThrows(
        IllegalArgumentException.class, () -> mounted(Side.REAR, Work.INTERNAL, Hand.N, false));
  }

  /** A plain rectangle of 30 x 20 with its nose at the far corner. */
  private static final Outline PLAIN =
      new Outline(
          30,
          20,
          List.of(
              new Part(
                  Part.Kind.CUTTING,
                  List.of(new Point(30, 8), new Point(0, 8), new Point(0, -12)),
                  true)),
          List.of());

  private static List<Point> points(double... numbers) {
    List<Point> points = new ArrayList<>();
    for (int i = 0; i < numbers.length; i += 2) {
      points.add(new Point(numbers[i], numbers[i + 1]));
    }
    return points;
  }

  private static void assertSame(List<Point> expected, List<Point> found) {
    assertEquals(expected.size(), found.size());
    for (int i = 0; i < expected.size(); i++) {
      assertEquals(expected.get(i).z(), found.get(i).z(), 1e-9, found.toString());
      assertEquals(expected.get(i).r(), found.get(i).r(), 1e-9, found.toString());
    }
  }

  private static MountedView plain(Side side, Work work, Hand hand, boolean rakeUp, boolean sub) {
    Mounting mounting =
        new Mounting(side, false, sub, false, work != Work.EXTERNAL, work, hand, rakeUp);
    return MountedView.of(mounting, PLAIN, false);
  }

  /** Rear turret, rake down, right hand: fed to the chuck on the left, the shank to the rear. */
  @Test
  void anExternalToolIsDrawnToScaleWithItsWork() {
    MountedView mounted = plain(Side.REAR, Work.EXTERNAL, Hand.R, false, false);
    assertSame(points(0, 0, 0, -30, 20, -30), mounted.tool().getFirst().profile());
    assertEquals(20, mounted.axis(), 1e-9);
    assertSame(points(0, 0, 44, 0, 44, 40, 0, 40), mounted.work().getFirst());
    assertSame(points(0, -1.6, -44, -1.6, -44, 41.6, 0, 41.6), mounted.work().getLast());
  }

  /** Turned over it feeds the other way; on a front turret everything lies the other way round. */
  @Test
  void anExternalToolOfAFrontTurretIsDrawnTheOtherWayRound() {
    MountedView mounted = plain(Side.FRONT, Work.EXTERNAL, Hand.R, false, false);
    assertSame(points(0, 0, 0, 30, -20, 30), mounted.tool().getFirst().profile());
    assertEquals(-20, mounted.axis(), 1e-9);
    assertSame(points(0, 0, -44, 0, -44, -40, 0, -40), mounted.work().getFirst());
    assertSame(points(0, 1.6, 44, 1.6, 44, -41.6, 0, -41.6), mounted.work().getLast());
  }

  @Test
  void aBarIsDrawnInACutRing() {
    MountedView mounted = plain(Side.REAR, Work.INTERNAL, Hand.R, true, false);
    assertSame(points(0, 0, 30, 0, 30, -20), mounted.tool().getFirst().profile());
    assertEquals(-18, mounted.axis(), 1e-9);
    assertSame(points(44, 0, 0, 0, 0, 12, 44, 12), mounted.work().get(0));
    assertSame(points(0, -1.6, -44, -1.6, -44, 12, 0, 12), mounted.work().get(1));
    assertSame(points(44, -36, 0, -36, 0, -48, 44, -48), mounted.work().get(2));
    assertSame(points(0, -34.4, -44, -34.4, -44, -48, 0, -48), mounted.work().get(3));
  }

  @ParameterizedTest
  @CsvSource({"false, -20", "true, 20"})
  void aFaceToolIsDrawnBeforeAFace(boolean rakeUp, double corner) {
    MountedView mounted = plain(Side.REAR, Work.FACE, Hand.R, rakeUp, true);
    assertSame(points(0, 0, -30, 0, -30, corner), mounted.tool().getFirst().profile());
    assertEquals(20, mounted.axis(), 1e-9);
    assertSame(points(0, -10, 44, -10, 44, 50, 0, 50), mounted.work().getFirst());
  }

  @Test
  void aToolOnTheAxisIsDrawnBeforeItsBlank() {
    MountedView mounted = plain(Side.REAR, Work.CENTER, Hand.R, false, false);
    assertSame(points(0, -24, -44, -24, -44, 24, 0, 24), mounted.work().getFirst());
    assertSame(points(0, 8, 30, 8, 30, -12), mounted.tool().getFirst().profile());
  }

  @Test
  void aLeftHandToolIsMirrored() {
    Mounting mounting =
        new Mounting(Side.REAR, false, false, false, false, Work.EXTERNAL, Hand.L, true);
    assertSame(
        points(0, 0, 0, -30, -20, -30),
        MountedView.of(mounting, PLAIN, true).tool().getFirst().profile());
  }

  /** What turns shows both its sides. */
  @Test
  void aRoundPartIsDrawnOnBothSidesOfItsAxis() {
    Outline pin =
        new Outline(
            6,
            4,
            List.of(new Part(Part.Kind.BODY, List.of(new Point(0, 2), new Point(6, 2)), false)),
            List.of());
    Mounting mounting =
        new Mounting(Side.FRONT, false, true, false, true, Work.CENTER, Hand.R, true);
    MountedView mounted = MountedView.of(mounting, pin, false);
    assertSame(points(-6, 2, 0, 2, 0, -2, -6, -2), mounted.tool().getFirst().profile());
    assertSame(points(0, -12, 22, -12, 22, 12, 0, 12), mounted.work().getFirst());
  }
}
