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

  private static MountedView seat(Side side, Work work, Hand hand, boolean sub) {
    Outline outline = Sample.outline((work == Work.INTERNAL ? BAR : EXTERNAL) + hand);
    return MountedView.of(mounting(side, work, hand, sub), outline, hand == Hand.L);
  }

  private static double mean(MountedView seat, Part.Kind kind, ToDoubleFunction<Point> of) {
    return seat.tool().stream()
        .filter(part -> part.kind() == kind)
        .flatMap(part -> part.profile().stream())
        .mapToDouble(of)
        .average()
        .orElseThrow();
  }

  @ParameterizedTest
  @CsvSource({"FRONT, 1", "REAR, -1"})
  void theShankOfAnExternalToolPointsToItsTurret(Side side, int sign) {
    MountedView seat = seat(side, Work.EXTERNAL, Hand.R, false);
    assertTrue(sign * mean(seat, Part.Kind.SHANK, Point::r) > 50);
    assertTrue(sign * seat.axis() < 0, "the axis lies beyond the nose");
  }

  @ParameterizedTest
  @CsvSource({"R, false", "L, false", "R, true", "L, true"})
  void theNoseLiesAtTheOrigin(Hand hand, boolean sub) {
    MountedView seat = seat(Side.REAR, Work.EXTERNAL, hand, sub);
    Part insert =
        seat.tool().stream().filter(p -> p.kind() == Part.Kind.CUTTING).findFirst().orElseThrow();
    assertEquals(0, insert.profile().getFirst().z(), 1e-9);
    assertEquals(0, insert.profile().getFirst().r(), 1e-9);
  }

  /** Fed towards the chuck, the shank trails on the other side of the nose. */
  @Test
  void whatIsNotCutYetLiesInTheWayOfTheFeed() {
    MountedView seat = seat(Side.REAR, Work.EXTERNAL, Hand.R, false);
    String feed = Orientation.of(mounting(Side.REAR, Work.EXTERNAL, Hand.R, false)).feed();
    int ahead = feed.equals("toward_chuck") ? -1 : 1;
    List<Point> uncut = seat.work().getLast();
    assertEquals(ahead, Math.signum(uncut.get(1).z()));
    assertTrue(ahead * mean(seat, Part.Kind.SHANK, Point::z) < 0);
  }

  @ParameterizedTest
  @CsvSource({"false, 1", "true, -1"})
  void aBarReachesIntoTheBoreTowardsItsChuck(boolean sub, int away) {
    MountedView seat = seat(Side.REAR, Work.INTERNAL, Hand.R, sub);
    assertTrue(away * mean(seat, Part.Kind.SHANK, Point::z) > 50);
  }

  @Test
  void aToolOnTheAxisIsCentred() {
    Outline drill = Sample.outline("CLASS=drill-twist DC=10 SIG=140 LCF=50 DMM=10 OAL=89 NOF=2");
    MountedView seat =
        MountedView.of(mounting(Side.FRONT, Work.CENTER, Hand.R, false), drill, false);
    assertEquals(0, seat.axis());
    assertEquals(0, mean(seat, Part.Kind.CUTTING, Point::r), 1e-9);
  }

  @Test
  void whatCannotBeMountedHasNoSeat() {
    assertThrows(
        IllegalArgumentException.class, () -> seat(Side.REAR, Work.INTERNAL, Hand.N, false));
  }
}
