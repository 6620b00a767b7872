package arborline.core.use;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNotNull;
import static org.junit.jupiter.api.Assertions.assertNull;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.finding.Finding;
import arborline.core.finding.Severity;
import arborline.core.machine.Assembly;
import arborline.core.machine.Machine;
import arborline.core.machine.Machine.Placed;
import arborline.core.machine.TestMachines;
import arborline.core.quantity.Quantity;
import arborline.core.quantity.Unit;
import arborline.core.tool.Tool;
import arborline.core.tool.Value;
import arborline.core.tool.outline.Part;
import arborline.core.turning.Mounting.Work;
import java.math.BigDecimal;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What follows from how a tool is used: tip codes as the trade numbers them. */
class UseReaderTest {

  private static final Machine LATHE = TestMachines.cormorant();
  private static final Machine MILL_TURN = TestMachines.kittiwake();
  private static final List<String> ANGLES = List.of("KAPR", "EPSR", "SIG");

  private static Tool tool(String toolClass, String hand, String sizes) {
    Map<String, Value> values = new HashMap<>();
    values.put("HAND", new Value.Word(hand, false));
    for (String size : sizes.split(" ")) {
      String[] parts = size.split("=");
      Unit unit = ANGLES.contains(parts[0]) ? Unit.DEGREE : Unit.MILLIMETRE;
      values.put(parts[0], new Value.Measure(Quantity.of(parts[1], unit), false));
    }
    return Tool.of("T", "T", toolClass, values);
  }

  private static Tool turning(String hand) {
    return tool("turning-external", hand, "KAPR=95 EPSR=80 H=25 B=25 LF=150 WF=32 IC=12.7 RE=0.8");
  }

  private static Tool bar(String hand) {
    return tool(
        "turning-internal", hand, "KAPR=95 EPSR=80 DMM=20 LF=180 WF=13 IC=9.525 RE=0.4 DMIN=25");
  }

  private static Tool drill() {
    return tool("drill-twist", "R", "DC=10 DMM=10 LCF=61 OAL=103 LU=50 SIG=140");
  }

  private static Placed at(Machine machine, String place) {
    return machine.placed(place).orElseThrow();
  }

  private static ToolUse usual(Machine machine, String place, Tool tool) {
    return UsualUse.of(machine, at(machine, place), tool, 7, Map.of(), Optional.empty());
  }

  private static UseReading read(Machine machine, String place, Tool tool, ToolUse use) {
    return UseReader.of(machine, at(machine, place), tool, use, Optional.empty());
  }

  private static List<String> holds(UseReading reading) {
    return reading.findings().stream()
        .filter(finding -> finding.severity() == Severity.HOLD)
        .map(Finding::message)
        .toList();
  }

  private static ToolUse with(
      ToolUse use, boolean driven, String spindle, String angle, boolean rakeUp) {
    return with(use, use.work(), driven, spindle, angle, rakeUp);
  }

  private static ToolUse with(
      ToolUse use, Work work, boolean driven, String spindle, String angle, boolean rakeUp) {
    return new ToolUse(
        driven,
        spindle,
        new BigDecimal(angle),
        work,
        rakeUp,
        use.setPoint(),
        use.offsets(),
        use.climb(),
        use.depth(),
        use.speed(),
        use.hood(),
        use.blower(),
        use.coolant());
  }

  @ParameterizedTest(name = "{0} {1} {2} rake up {3} on {4}: {5} {6}")
  @CsvSource({
    "L1, external, R, false, main, M3, 3",
    "L1, external, L, true, main, M4, 3",
    "L1, external, L, false, main, M3, 4",
    "L1, internal, R, false, main, M3, 2",
    "L1, internal, R, true, main, M3, 3",
    "X1, external, R, true, main, M3, 3",
    "X1, external, L, true, sub, M4, 4"
  })
  void aTurningToolStandsAsItIsMounted(
      String machine,
      String work,
      String hand,
      boolean rakeUp,
      String spindle,
      String sense,
      int code) {
    Machine known = machine.equals("L1") ? LATHE : MILL_TURN;
    String place = machine.equals("L1") ? "3" : "L2";
    Tool tool = work.equals("external") ? turning(hand) : bar(hand);
    String angle = usual(known, place, tool).angle().toPlainString();
    UseReading reading =
        read(known, place, tool, with(usual(known, place, tool), false, spindle, angle, rakeUp));
    assertEquals(List.of(), holds(reading));
    assertEquals(sense, reading.sense());
    assertEquals(code, reading.orientation());
    assertEquals(0, new BigDecimal("5").compareTo(reading.clearances().end()));
    assertNotNull(reading.view());
  }

  private static Assembly held(String turned) {
    BigDecimal size = BigDecimal.TEN;
    return new Assembly(
        size,
        size,
        size,
        size,
        size,
        "VD-B-30:m",
        turned == null ? null : new BigDecimal(turned),
        List.of());
  }

  @Test
  void aFaceGrooverIsAskedAboutAnywhereButOnAFace() {
    Tool groover =
        tool("turning-face-grooving", "R", "CW=3 CDX=12 DAXN=30 DAXX=40 H=20 B=20 LF=125 WF=20");
    ToolUse usual = usual(LATHE, "1", groover);
    assertEquals(Work.FACE, usual.work());
    assertEquals(List.of(), queries(read(LATHE, "1", groover, usual)));
    assertEquals(
        List.of("a face-grooving tool cuts grooves into a face: choose face, or another tool"),
        queries(read(LATHE, "1", groover, with(usual, Work.INTERNAL, false, "main", "0", false))));
  }

  private static List<String> queries(UseReading reading) {
    return reading.findings().stream()
        .filter(finding -> finding.severity() == Severity.QUERY)
        .map(Finding::message)
        .toList();
  }

  /** Stations of the lathe face outwards: a straight block points across, one for a shank along. */
  @Test
  void aBlockSaysHowATurretHoldsItsTool() {
    Placed station = at(LATHE, "2");
    assertEquals(
        Optional.of(new BigDecimal("90")), BlockAngle.of(station, Optional.of(held(null))));
    Optional<BigDecimal> along = BlockAngle.of(station, Optional.of(held("90")));
    assertEquals(0, along.orElseThrow().signum());
    assertEquals(Optional.empty(), BlockAngle.of(station, Optional.empty()));
    ToolUse facing = UsualUse.of(LATHE, at(LATHE, "1"), turning("R"), 7, Map.of(), along);
    assertEquals(Work.FACE, facing.work(), "a shank along the work turns its face");
    assertEquals(
        List.of(),
        UseReader.of(LATHE, at(LATHE, "1"), turning("R"), facing, along).findings().stream()
            .filter(finding -> finding.severity() != Severity.NOTE)
            .toList());
    ToolUse use = UsualUse.of(LATHE, station, drill(), 7, Map.of(), along);
    assertEquals(0, use.angle().signum());
    UseReading turned = UseReader.of(LATHE, station, drill(), usual(LATHE, "2", drill()), along);
    assertEquals(
        List.of(
            "the holder in its stack holds it at 0° to the axis of the work, the use says 90°:"
                + " keep a stack with another holder, or choose its angle"),
        queries(turned));
  }

  @Test
  void theUsualUseHasTheWorkTurnAsItUsuallyTurns() {
    for (String place : List.of("3", "L2")) {
      Machine machine = place.equals("3") ? LATHE : MILL_TURN;
      for (Tool tool : List.of(turning("R"), bar("R"))) {
        UseReading reading = read(machine, place, tool, usual(machine, place, tool));
        assertEquals(List.of(), holds(reading));
        assertEquals("M3", reading.sense(), place + " " + tool.toolClass());
      }
    }
  }

  @Test
  void theCentreOfTheNoseHasNoTip() {
    ToolUse usual = usual(LATHE, "3", turning("R"));
    assertEquals(SetPoint.SHARP_CORNER, usual.setPoint());
    ToolUse centre =
        new ToolUse(
            false,
            "main",
            usual.angle(),
            usual.work(),
            usual.rakeUp(),
            SetPoint.NOSE_CENTRE,
            List.of(7),
            true,
            null,
            null,
            null,
            false,
            "");
    UseReading reading = read(LATHE, "3", turning("R"), centre);
    assertEquals(0, reading.orientation());
    assertEquals(List.of(0, 0), reading.tip());
  }

  @Test
  void aDrillStandsOnTheCentreLineOrTurnsAcrossTheDiameterByOneChoice() {
    ToolUse still = usual(LATHE, "3", drill());
    UseReading centred = read(LATHE, "3", drill(), still);
    assertEquals(Work.CENTER, still.work());
    assertEquals(7, centred.orientation());
    assertEquals("M3", centred.sense());
    ToolUse turning = usual(LATHE, "2", drill());
    assertTrue(turning.driven());
    UseReading across = read(LATHE, "2", drill(), turning);
    assertEquals(List.of(), holds(across));
    assertEquals(8, across.orientation());
    assertEquals(List.of(-1, 0), across.tip());
    Part cutting = across.view().tool().getLast();
    assertTrue(
        cutting.profile().stream().allMatch(point -> point.r() <= 1e-9),
        "from behind, its tip at the work");
    assertEquals(
        7, read(LATHE, "2", drill(), with(turning, true, "main", "0", false)).orientation());
    assertEquals(
        List.of("station 3 drives nothing: choose static, or a driven station"),
        holds(read(LATHE, "3", drill(), with(still, true, "main", "90", false))));
  }

  @Test
  void anInvertedStationTurnsTheOtherWay() {
    assertEquals("M4", read(MILL_TURN, "L1", drill(), usual(MILL_TURN, "L1", drill())).sense());
  }

  @Test
  void aMillHasNoTipOrientationAndTurnsByTheHandOfTheTool() {
    Machine heron = TestMachines.heron(48);
    UseReading reading = read(heron, "5", drill(), usual(heron, "5", drill()));
    assertEquals(List.of(), holds(reading));
    assertNull(reading.orientation());
    assertEquals("M3", reading.sense());
    Tool left = tool("drill-twist", "L", "DC=10 OAL=100 LCF=50");
    assertEquals("M4", read(heron, "5", left, usual(heron, "5", left)).sense());
    assertEquals(
        List.of("pocket 5 cannot hold a tool still while work turns: choose driven"),
        holds(read(heron, "5", drill(), with(usual(heron, "5", drill()), false, "", "0", false))));
  }

  private static ToolUse limited(ToolUse use, String depth, String speed, List<Integer> offsets) {
    return new ToolUse(
        use.driven(),
        use.spindle(),
        use.angle(),
        use.work(),
        use.rakeUp(),
        use.setPoint(),
        offsets,
        use.climb(),
        new BigDecimal(depth),
        new BigDecimal(speed),
        null,
        true,
        "steam");
  }

  @Test
  void limitsOffsetsAndOutputsAreHeldAgainstToolStationAndMachine() {
    ToolUse usual = usual(LATHE, "2", drill());
    assertEquals(
        List.of(
            "an offset number stands twice; each edge has its own",
            "50.1 mm is deeper than it can go: 50 mm",
            "6001 1/min is more than station 2 may turn (6000 1/min)",
            "L1 Cormorant has no blower",
            "L1 Cormorant has no coolant 'steam'; it has none"),
        holds(read(LATHE, "2", drill(), limited(usual, "50.1", "6001", List.of(7, 7)))));
    assertEquals(
        "offset numbers: 1 to 9 numbers from 1 to 9999",
        holds(read(LATHE, "2", drill(), limited(usual, "50", "6000", List.of()))).getFirst());
  }

  @Test
  void anglesGoInTheStepsOfTheirStation() {
    ToolUse usual = usual(LATHE, "2", drill());
    assertEquals(
        List.of("45° cannot be set at station 2, which goes in steps of 90°"),
        holds(read(LATHE, "2", drill(), with(usual, true, "main", "45", false))));
    assertEquals(
        List.of("station 2 reaches the main spindle"),
        holds(read(LATHE, "2", drill(), with(usual, true, "sub", "90", false))));
    UseReading leaning =
        read(
            MILL_TURN,
            "4",
            drill(),
            with(usual(MILL_TURN, "4", drill()), true, "main", "30", false));
    assertEquals(List.of(), holds(leaning));
    assertEquals(0, leaning.orientation());
  }
}
