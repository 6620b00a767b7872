package arborline.core.machine;

import static org.junit.jupiter.api.Assertions.assertEquals;

import arborline.core.finding.Finding;
import arborline.core.finding.Severity;
import arborline.core.stack.Component;
import arborline.core.stack.Component.Kind;
import arborline.core.stack.Component.Turn;
import arborline.core.stack.Cutter;
import arborline.core.stack.Frustum;
import arborline.core.stack.Material;
import arborline.core.stack.Stack;
import arborline.core.tool.Sample;
import arborline.core.tool.Tool;
import java.math.BigDecimal;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** A turret that swings 340 mm, gauge lines 220 mm from its axis, stations 110 mm apart. */
class TurretFitTest {

  private static final Machine LATHE = TestMachines.cormorant();
  private static final Tool TOOL =
      Sample.tool("CODE=T CLASS=turning-external KAPR=95 H=20 B=20 WF=25 LF=125 IC=12.7 RE=0.8");

  private static Loaded in(String machineSide, String height, Optional<Turn> turn, double out) {
    Component block =
        new Component(
            "BLOCK",
            "Block",
            Kind.HOLDER,
            machineSide,
            "SQ-H-20:f",
            List.of(Frustum.of(height, "68", "68")),
            Material.STEEL,
            BigDecimal.valueOf(40),
            turn);
    Stack stack = new Stack("VD-A-30:f", List.of(block), Cutter.of(TOOL).orElseThrow(), out);
    return new Loaded(TOOL, Optional.of(Assembly.of(stack)));
  }

  private static Loaded across() {
    return in(
        "VD-B-30:m",
        "70",
        Optional.of(
            new Turn(BigDecimal.valueOf(90), BigDecimal.valueOf(45), BigDecimal.valueOf(34))),
        33);
  }

  private static List<String> holds(Loaded tool, Map<String, Loaded> others) {
    return Fit.check(LATHE, "1", tool, others).stream()
        .filter(finding -> finding.severity() == Severity.HOLD)
        .map(Finding::message)
        .toList();
  }

  @Test
  void theTurretMeetsTheToolInItsBlockNotTheBareShank() {
    assertEquals(
        List.of("it reaches 345 mm from the axis of the turret, which swings 340 mm"),
        holds(new Loaded(TOOL, Optional.empty()), Map.of()));
    assertEquals(List.of(), holds(in("VD-C-30:m", "70", Optional.empty(), 33), Map.of()));
  }

  /** The corner of the head: 220 + 70 + 50.2 mm out, its half diagonal beside. */
  @Test
  void whatSwingsIsTheOutermostCorner() {
    assertEquals(
        List.of("it reaches 340.677 mm from the axis of the turret, which swings 340 mm"),
        holds(in("VD-C-30:m", "70", Optional.empty(), 50.2), Map.of()));
  }

  /** Its head stands out along the spindle, not towards the next station. */
  @Test
  void aToolHeldAcrossLeavesTheStationsBesideItFree() {
    assertEquals(List.of(), holds(across(), Map.of("2", across(), "12", across())));
  }

  @Test
  void aBlockOfAnotherSizeDoesNotGoIn() {
    List<String> holds = holds(in("VD-C-40:m", "70", Optional.empty(), 33), Map.of());
    assertEquals(1, holds.size());
    assertEquals(true, holds.getFirst().contains("VDI 40"), holds.getFirst());
  }
}
