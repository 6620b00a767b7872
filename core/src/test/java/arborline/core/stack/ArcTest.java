package arborline.core.stack;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.tool.outline.Point;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class ArcTest {

  /** The four corners of a symmetrical groove lie on one circle, and are no arc. */
  @Test
  void aGrooveIsNoArc() {
    List<Point> groove =
        List.of(
            new Point(71, 31.775),
            new Point(73.757, 27),
            new Point(79.243, 27),
            new Point(82, 31.775));
    assertTrue(Arc.from(groove, 0).isEmpty());
  }

  /** Points of a circle from one angle to another, degrees, in equal steps. */
  private static List<Point> circle(
      double z, double r, double radius, double from, double to, int points) {
    List<Point> circle = new ArrayList<>();
    for (int i = 0; i < points; i++) {
      double angle = Math.toRadians(from + (to - from) * i / (points - 1));
      circle.add(new Point(z + radius * Math.cos(angle), r + radius * Math.sin(angle)));
    }
    return circle;
  }

  private static void assertArc(Arc expected, Arc found) {
    assertEquals(expected.to(), found.to());
    assertEquals(expected.z(), found.z(), 1e-6);
    assertEquals(expected.r(), found.r(), 1e-6);
    assertEquals(expected.radius(), found.radius(), 1e-6);
  }

  @Test
  void aBallIsASphereOnTheAxis() {
    List<Point> ball = circle(40, 0, 5, 90, 0, 10);
    Arc arc = Arc.from(ball, 0).orElseThrow();
    assertArc(new Arc(9, 40, 0, 5), arc);
    assertTrue(arc.onAxis());
    assertTrue(arc.around());
    assertTrue(arc.convex(ball.getFirst(), ball.getLast()));
  }

  @Test
  void aCornerIsATubeAroundTheAxis() {
    List<Point> corner = circle(48, 4, 2, 90, 0, 11);
    Arc arc = Arc.from(corner, 0).orElseThrow();
    assertArc(new Arc(10, 48, 4, 2), arc);
    assertFalse(arc.onAxis());
    assertTrue(arc.around());
  }

  @Test
  void aHollowArcIsNotConvex() {
    List<Point> cove = circle(20, 12, 3, 180, 270, 8);
    Arc arc = Arc.from(cove, 0).orElseThrow();
    assertArc(new Arc(7, 20, 12, 3), arc);
    assertFalse(arc.convex(cove.getFirst(), cove.getLast()));
  }

  /** The centre of a barrel lies beyond the axis: it is no tube around it. */
  @Test
  void aBarrelGoesNotAroundTheAxis() {
    assertFalse(Arc.from(circle(50, -80, 90, 95, 85, 12), 0).orElseThrow().around());
  }

  @Test
  void anArcEndsWhereThePointsLeaveIt() {
    List<Point> profile = new ArrayList<>(List.of(new Point(0, 5), new Point(30, 5)));
    profile.addAll(circle(30, 3, 2, 90, 0, 6).subList(1, 6));
    profile.add(new Point(33, 2.9));
    assertEquals(6, Arc.from(profile, 1).orElseThrow().to());
    assertEquals(Optional.empty(), Arc.from(profile, 0), "a line runs into it");
    assertEquals(Optional.empty(), Arc.from(profile, 4), "too few points are left");
  }

  @Test
  void fourPointsMakeAnArcAndThreeDoNot() {
    assertEquals(3, Arc.from(circle(10, 0, 5, 90, 30, 4), 0).orElseThrow().to());
    assertEquals(Optional.empty(), Arc.from(circle(10, 0, 5, 90, 30, 3), 0));
  }

  @Test
  void aLineIsNoArcAndPointsMustGoOn() {
    assertEquals(
        Optional.empty(),
        Arc.from(List.of(new Point(0, 1), new Point(1, 2), new Point(2, 3), new Point(3, 4)), 0));
    assertEquals(Optional.empty(), Arc.from(circle(10, 0, 5, 30, 90, 6), 0), "it runs back");
  }

  /** Three slim cones in a row nearly lie on a circle of 50 m, 5 um beside it: they are no arc. */
  @Test
  void conesAreNoFlatArc() {
    assertEquals(
        Optional.empty(),
        Arc.from(
            List.of(
                new Point(0, 5), new Point(10, 5.1), new Point(20, 5.198), new Point(30, 5.289)),
            0));
  }
}
