package arborline.core.stack;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.finding.Finding;
import arborline.core.stack.AssemblyOutline.TurnedOutline;
import arborline.core.stack.Component.Kind;
import arborline.core.stack.Component.Turn;
import arborline.core.tool.Sample;
import arborline.core.tool.outline.Part;
import arborline.core.tool.outline.Point;
import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Turning tools in blocks for a turret: shanks straight on, across, and round bars. */
class TurningStackTest {

  private static final Cutter SQUARE =
      cutter("CODE=T CLASS=turning-external KAPR=95 H=20 B=20 WF=25 LF=125 IC=12.7 RE=0.8");
  private static final Cutter BAR =
      cutter("CODE=B CLASS=turning-internal KAPR=95 DMM=20 WF=13 LF=180 IC=9.525 RE=0.4 DMIN=25");

  private static Cutter cutter(String sheet) {
    return Cutter.of(Sample.tool(sheet)).orElseThrow();
  }

  private static Component block(String machineSide, String workSide, Optional<Turn> turn) {
    return new Component(
        "BLOCK",
        "Block",
        Kind.HOLDER,
        machineSide,
        workSide,
        List.of(Frustum.of("70", "68", "68")),
        Material.STEEL,
        BigDecimal.valueOf(40),
        turn);
  }

  private static final Component STRAIGHT = block("VD-C-30:m", "SQ-H-20:f", Optional.empty());
  private static final Component ACROSS =
      block(
          "VD-B-30:m",
          "SQ-H-20:f",
          Optional.of(
              new Turn(BigDecimal.valueOf(90), BigDecimal.valueOf(45), BigDecimal.valueOf(34))));

  private static Stack stack(Component block, Cutter cutter, double overhang) {
    return new Stack("VD-A-30:f", List.of(block), cutter, overhang);
  }

  private static List<String> holds(Stack stack) {
    return stack.findings().stream().map(Finding::message).toList();
  }

  @Test
  void aSquareShankGoesIntoASlotOfItsHeight() {
    assertEquals("SQ-H-20x20:m", SQUARE.connection());
    assertEquals(List.of(), holds(stack(STRAIGHT, SQUARE, 33)));
    Component larger = block("VD-C-30:m", "SQ-H-25:f", Optional.empty());
    assertTrue(holds(stack(larger, SQUARE, 33)).getFirst().contains("shank lower than slot"));
    assertEquals("CY-B-20:m", BAR.connection(), "bars are held by screws on their flats");
  }

  @Test
  void aShankStandsOutAsFarAsItsUserSays() {
    StackShape shape = stack(STRAIGHT, SQUARE, 33).shape();
    assertEquals(103, shape.length(), 1e-9);
    assertEquals(33, shape.overhang(), 1e-9);
    assertTrue(holds(stack(STRAIGHT, SQUARE, 90)).getFirst().contains("only 35.0 mm"));
    assertEquals(33, SQUARE.usualOverhang(40), "one and a half shank heights and 3 mm");
  }

  /** Shank and head are bars, not cylinders: 20 x 20 mm weighs less than the circle around it. */
  @Test
  void aShankWeighsWhatItsSectionDoes() {
    double shank = SQUARE.bodies().getFirst().length() * 20 * 20 * 1e-9 * Material.STEEL.density();
    assertEquals(
        shank, SQUARE.bodies().getFirst().volume() * 1e-9 * Material.STEEL.density(), 1e-9);
    assertEquals(20 * Math.sqrt(2), SQUARE.bodies().getFirst().from(), 1e-9);
  }

  /** A square bar bends by F L3 / (3 E b h3/12). */
  @Test
  void aShankBendsAsASquareBarDoes() {
    Body bar = new Body(60, 28.3, 28.3, Optional.of(new Section(20, 20)));
    double round = bar.bendsFrom();
    assertEquals(Math.pow(20, 4) / 12, Math.PI * Math.pow(round, 4) / 64, 1e-6);
  }

  @Test
  void aBlockForAShankAcrossTurnsTheAxis() {
    Stack stack = stack(ACROSS, SQUARE, 33);
    assertEquals(List.of(), holds(stack));
    StackShape shape = stack.shape();
    assertEquals(45, shape.length(), 1e-9);
    assertEquals(67, shape.turned().orElseThrow().sideways(), 1e-9);
    assertEquals(68, shape.thickness(), 1e-9, "to its sides it is as thick as its block");
    double farthest =
        shape.corners().stream().mapToDouble(StackShape.ShapeCorner::along).max().orElse(0);
    assertEquals(70, farthest, 1e-9, "the block is higher than the head");
    double beside =
        shape.corners().stream().mapToDouble(StackShape.ShapeCorner::beside).max().orElse(0);
    assertEquals(67, beside, 1e-9);
  }

  @Test
  void onlyHoldersForTurretsAndAggregatesTurnTheAxis() {
    assertEquals(List.of(), ACROSS.findings());
    Component mill = block("ST-JD-40:m", "CY-SF-20:f", ACROSS.turn());
    assertEquals("component-turn", mill.findings().getFirst().code());
  }

  @Test
  void itsPlanIsDrawnFromTheBlockOn() {
    List<Part> parts = AssemblyOutline.of(stack(STRAIGHT, SQUARE, 33)).parts();
    List<Point> flat =
        parts.stream().filter(Part::flat).flatMap(part -> part.profile().stream()).toList();
    assertEquals(70, flat.stream().mapToDouble(Point::z).min().orElse(0), 1e-9);
    assertEquals(103, flat.stream().mapToDouble(Point::z).max().orElse(0), 1e-9);
    TurnedOutline turned = AssemblyOutline.turned(stack(ACROSS, SQUARE, 33)).orElseThrow();
    assertEquals(90, turned.angle());
    assertEquals(67, turned.outline().length(), 1e-9);
  }

  @Test
  void anOverhangThatCannotBeIsSaidAndNothingFails() {
    assertTrue(holds(stack(STRAIGHT, SQUARE, 0)).getFirst().contains("is not between 0"));
    assertEquals(70, stack(STRAIGHT, SQUARE, 0).shape().length(), 1e-9);
    assertEquals(70, stack(STRAIGHT, BAR, -5).shape().length(), 1e-9);
    assertEquals(195, stack(STRAIGHT, SQUARE, 9999).shape().length(), 1e-9);
  }

  @Test
  void whatHasNoShankIsNoPartOfAStack() {
    assertTrue(Cutter.of(Sample.tool("CODE=I CLASS=insert MIID=CNMG120408 LF=12")).isEmpty());
  }
}
