package arborline.core.stack;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.stack.Component.Kind;
import arborline.core.tool.Sample;
import arborline.core.tool.outline.Point;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** What holds for every stack, tried on five hundred that a seeded chance made. */
class StackPropertiesTest {

  private static final int STACKS = 500;

  private interface Property {
    void holds(Stack stack, StackShape shape);
  }

  private static void forAll(Property property) {
    Random chance = new Random(20261125);
    for (int i = 0; i < STACKS; i++) {
      Stack stack = stack(chance);
      property.holds(stack, stack.shape());
    }
  }

  private static Stack stack(Random chance) {
    List<Component> parts = new ArrayList<>();
    int count = 1 + chance.nextInt(4);
    for (int i = 0; i < count; i++) {
      parts.add(part("P" + i, chance));
    }
    double diameter = 2 + chance.nextInt(30);
    Cutter cutter =
        Cutter.of(
                Sample.tool(
                    "CODE=C CLASS=end-mill-flat DC=%s APMX=20 DMM=%s OAL=100 NOF=4"
                        .formatted(diameter, diameter + chance.nextInt(4))))
            .orElseThrow();
    return new Stack("", parts, cutter, 10 + chance.nextInt(80));
  }

  private static Component part(String code, Random chance) {
    List<Frustum> bodies = new ArrayList<>();
    int count = 1 + chance.nextInt(3);
    for (int i = 0; i < count; i++) {
      bodies.add(new Frustum(tenths(chance, 50), tenths(chance, 100), tenths(chance, 100)));
    }
    return new Component(
        code,
        "",
        Kind.EXTENSION,
        "ST-JD-40:m",
        "CY-SF-10:f",
        bodies,
        Material.values()[chance.nextInt(Material.values().length)],
        BigDecimal.ZERO);
  }

  private static BigDecimal tenths(Random chance, int most) {
    return BigDecimal.valueOf(5 + chance.nextInt(10 * most), 1);
  }

  private static List<Point> points(StackShape shape) {
    return shape.spans().stream().flatMap(span -> span.profile().stream()).toList();
  }

  @Test
  void gaugeLengthIsTheSumOfThePartsAndTheOverhang() {
    forAll((stack, shape) -> {
      double sum =
          stack.components().stream()
              .flatMap(part -> part.bodies().stream())
              .mapToDouble(body -> body.length().doubleValue())
              .sum();
      assertEquals(sum + stack.overhang(), shape.length(), 1e-9);
    });
  }

  @Test
  void theProfileRunsFromTheGaugeLineToTheTip() {
    forAll((stack, shape) -> {
      List<Point> points = points(shape);
      assertEquals(0, points.getFirst().z(), 1e-9);
      assertEquals(shape.length(), points.getLast().z(), 1e-9);
      for (int i = 1; i < points.size(); i++) {
        assertTrue(points.get(i).z() >= points.get(i - 1).z() - 1e-9);
      }
      double widest = points.stream().mapToDouble(point -> 2 * point.r()).max().orElseThrow();
      assertEquals(widest, shape.widest(), 1e-9);
    });
  }

  @Test
  void theTiltingMomentIsWeightTimesLever() {
    forAll((stack, shape) -> {
      assertTrue(shape.mass() > 0);
      assertTrue(shape.centre() < shape.length());
      assertEquals(shape.mass() * 9.80665 * shape.centre() / 1000, shape.moment(), 1e-12);
    });
  }

  @Test
  void aLongerOverhangBendsMore() {
    forAll((stack, shape) -> {
      Stack longer = new Stack("", stack.components(), stack.cutter(), stack.overhang() + 5);
      assertTrue(longer.shape().deflection() > shape.deflection());
    });
  }

  @Test
  void theShortestOverhangThatClearsDoesClearAndLessDoesNot() {
    forAll((stack, shape) -> {
      double distance = stack.cutter().diameter() / 2 + 3;
      Clearance.of(stack, new Wall(40, distance))
          .shortest()
          .filter(shortest -> shortest > 1 && shortest < 90)
          .ifPresent(shortest -> {
            assertTrue(at(stack, shortest + 0.01, distance));
            assertFalse(at(stack, shortest - 0.01, distance));
          });
    });
  }

  private static boolean at(Stack stack, double overhang, double distance) {
    Stack other = new Stack("", stack.components(), stack.cutter(), overhang);
    return Clearance.of(other, new Wall(40, distance)).clear();
  }
}
