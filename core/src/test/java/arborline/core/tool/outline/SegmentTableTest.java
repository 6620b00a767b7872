package arborline.core.tool.outline;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SegmentTableTest {

  private static final double HALF = Math.sqrt(0.5);

  private static List<Point> drawn(String text) {
    SegmentTable table = SegmentTable.read(text);
    assertEquals(Optional.empty(), table.fault());
    return table.drawn();
  }

  private static String fault(String text) {
    return SegmentTable.read(text).fault().orElse("");
  }

  private static void assertAt(double z, double r, Point found) {
    assertEquals(z, found.z(), 1e-9, found.toString());
    assertEquals(r, found.r(), 1e-9, found.toString());
  }

  @Test
  void linesAreDrawnFromCornerToCorner() {
    assertEquals(
        List.of(new Point(0, 0), new Point(2.5, 6), new Point(20, 6)), drawn("0 0; 2.5 6; 20 6"));
  }

  /** A ball nose: the centre lies on the axis, the arc bulges outwards. */
  @Test
  void anArcBulgesOutwards() {
    List<Point> ball = drawn("0 0; 5 5 R5; 20 5");
    assertEquals(18, ball.size());
    assertAt(5 - 5 * HALF, 5 * HALF, ball.get(8));
    for (Point point : ball.subList(0, 17)) {
      assertEquals(5, Math.hypot(point.z() - 5, point.r()), 1e-9);
    }
    for (int i = 0; i < 16; i++) {
      assertTrue(ball.get(i).z() < ball.get(i + 1).z(), "it runs towards the shank");
    }
  }

  @Test
  void aNegativeRadiusIsHollow() {
    List<Point> cove = drawn("1 0; 1 5; 6 10 R-5");
    assertAt(1 + 5 * HALF, 10 - 5 * HALF, cove.get(9));
    for (Point point : cove.subList(1, 18)) {
      assertEquals(5, Math.hypot(point.z() - 1, point.r() - 10), 1e-9);
    }
  }

  @Test
  void aWideArcIsFlat() {
    List<Point> bow = drawn("0 0; 2 6; 8 6 R5");
    assertAt(5, 7, bow.get(9));
    assertAt(5, 5, drawn("0 0; 2 6; 8 6 R-5").get(9));
  }

  @ParameterizedTest(name = "{0} reaches {1}")
  @CsvSource({"0 0; 0 8; 10 8 R5, 13", "0 0; 0 8; 10 8 R-5, 3"})
  void halfACircleBulgesOrIsHollowToo(String text, double middle) {
    assertAt(5, middle, drawn(text).get(9));
  }

  @ParameterizedTest(name = "{0}: {1}")
  @CsvSource({
    "0 0, point 1: a profile needs two points at least",
    "0 0; wide, point 2: 'wide' is not 'z r' or 'z r Rradius'",
    "0 1; 5 1, point 1: the profile must start on the axis (r = 0)",
    "0 0; 5 -1, point 2: the profile crosses the axis",
    "0 0; 0 5; 10 5 R4.9, point 3: radius too small to reach from the point before",
    "0 0; 0 5; 0 5 R3, point 3: it is the point before once more",
    "0 0; 0 1; 8 1 R-5, point 3: an arc crosses the axis",
    "1 0; 1 5; 11 5; 11 8; 6 8; 6 3, the profile crosses itself",
    "1 0; 1 5; 11 5; 3 7; 9 2, the profile crosses itself"
  })
  void whatCannotBeAProfileIsSaidByItsPoint(String text, String said) {
    assertEquals(said, fault(text));
  }

  @ParameterizedTest
  @CsvSource({
    "0 0; 5 5",
    "0 0; 0 5; 10 5 R5",
    "0 0; 5 0; 5 5",
    "1 0; 1 5; 11 5; 11 8; 6 8; 6 5.1",
    "1 0; 1 5; 11 5; 11 8; 6 8; 6 5",
    "0 0; 0 2; 6 2 R-5",
    "1 0; 1 9; 3 9; 3 6; 7 6; 7 9; 9 9"
  })
  void whatOnlyTouchesOrStepsIsSound(String text) {
    assertEquals("", fault(text));
  }
}
