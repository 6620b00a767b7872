package arborline.core.stack;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.finding.Finding;
import arborline.core.stack.Component.Kind;
import arborline.core.stack.Component.Turn;
import arborline.core.tool.Sample;
import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class AggregateTest {

  private static Component aggregate(Optional<Turn> turn, Kind kind) {
    return new Component(
        "AG-1",
        "Angle head",
        kind,
        "HT-F-63:m",
        "CY-SF-10:f",
        List.of(Frustum.of("120", "90", "90")),
        Material.STEEL,
        BigDecimal.valueOf(20),
        turn);
  }

  private static Turn turn(double angle, double at, double out) {
    return new Turn(BigDecimal.valueOf(angle), BigDecimal.valueOf(at), BigDecimal.valueOf(out));
  }

  private static Stack stack(double angle) {
    Cutter mill =
        Cutter.of(
                Sample.tool(
                    "CODE=EM-10 CLASS=end-mill-flat DC=10 APMX=22 DMM=10 OAL=72 NOF=4 SUBSTRATE=HC"))
            .orElseThrow();
    Component head = aggregate(Optional.of(turn(angle, 100, 50)), Kind.AGGREGATE);
    return new Stack("HT-F-63:f", List.of(head), mill, 30);
  }

  /** The crossing lies 100 mm out; beyond it 50 mm of head and 30 mm of cutter. */
  @ParameterizedTest(name = "turned by {0}")
  @CsvSource({"90, 100, 80", "45, 156.569, 56.569", "30, 169.282, 40", "120, 60, 69.282"})
  void theTipLiesAlongTheTurnedAxis(double angle, double length, double sideways) {
    StackShape shape = stack(angle).shape();
    assertEquals(length, shape.length(), 1e-3);
    assertEquals(sideways, shape.turned().orElseThrow().sideways(), 1e-3);
    assertEquals(100, shape.turned().get().at());
    assertEquals(List.of(), stack(angle).findings());
  }

  @Test
  void whatTheSpindleSweepsReachesToTheTip() {
    StackShape shape = stack(90).shape();
    assertEquals(160, shape.widest(), 1e-9);
    assertEquals(90, shape.widestNearGauge(), 1e-9);
    assertEquals(30, shape.reach(), 1e-9);
  }

  @Test
  void onlyWhatLiesBehindTheCrossingIsTurned() {
    List<StackShape.Span> spans = stack(90).shape().spans();
    assertFalse(spans.getFirst().turned());
    assertTrue(spans.getLast().turned());
    assertEquals(50, spans.getLast().profile().getFirst().z(), 1e-9);
  }

  @Test
  void theCentreOfMassIsCountedAlongTheSpindle() {
    double head = Math.PI / 4 * 90 * 90 * 120 * 7.85e-6;
    double cutter = Math.PI / 4 * 100 * 72 * 14.5e-6;
    double bore = Math.PI / 4 * 100 * 42 * 7.85e-6;
    StackShape shape = stack(90).shape();
    double behind = shape.massBehind();
    assertEquals(head + cutter + behind - bore, shape.mass(), 1e-9);
    double taper = (shape.centre() * shape.mass() - head * 60 - cutter * 100 + bore * 100) / behind;
    double end = shape.behind().getFirst().z();
    assertTrue(end < taper && taper < end / 3, "its centre lies behind the gauge line: " + taper);
  }

  @Test
  void aSecondTurnIsRefused() {
    Component head = aggregate(Optional.of(turn(90, 100, 50)), Kind.AGGREGATE);
    Stack twice = new Stack("", List.of(head, head), stack(90).cutter(), 30);
    assertTrue(twice.findings().stream().map(Finding::code).anyMatch("stack-turned-twice"::equals));
  }

  @ParameterizedTest(name = "{0} deg at {1}, out {2}")
  @CsvSource({
    "0, 100, 50",
    "-90, 100, 50",
    "121, 100, 50",
    "90, 0, 50",
    "90, 100, -1",
    "90, 1e9, 0"
  })
  void aTurnHasItsLimits(double angle, double at, double out) {
    List<Finding> findings =
        aggregate(Optional.of(turn(angle, at, out)), Kind.AGGREGATE).findings();
    assertEquals(List.of("component-turn"), findings.stream().map(Finding::code).toList());
  }

  @Test
  void anAggregateNeedsItsTurnAndAHolderHasNone() {
    assertEquals(1, aggregate(Optional.empty(), Kind.AGGREGATE).findings().size());
    assertEquals(1, aggregate(Optional.of(turn(90, 100, 50)), Kind.HOLDER).findings().size());
    assertEquals(List.of(), aggregate(Optional.empty(), Kind.HOLDER).findings());
  }
}
