package arborline.core.stack;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.exchange.Cell;
import arborline.core.exchange.Interpreter;
import arborline.core.exchange.RawItem;
import arborline.core.finding.Finding;
import arborline.core.stack.Component.Kind;
import arborline.core.tool.Tool;
import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class StackTest {

  private static final Component CHUCK =
      new Component(
          "H-1",
          "Shrink chuck",
          Kind.HOLDER,
          "ST-JD-40:m",
          "CY-SF-10:f",
          List.of(Frustum.of("27", "63", "63"), Frustum.of("60", "44", "24")),
          Material.STEEL,
          BigDecimal.valueOf(28));

  private static Tool tool(String text) {
    TreeMap<String, Cell> cells = new TreeMap<>();
    for (String pair : text.split(" ")) {
      cells.put(pair.split("=")[0], Cell.of(pair.split("=")[1]));
    }
    return Interpreter.interpret(new RawItem(1, cells, List.of())).tool();
  }

  private static Cutter mill() {
    return Cutter.of(
            tool("CODE=EM-10 CLASS=end-mill-flat DC=10 APMX=22 DMM=10 OAL=72 NOF=4 SUBSTRATE=HC"))
        .orElseThrow();
  }

  private static Stack stack(double overhang) {
    return new Stack("ST-JD-40:f", List.of(CHUCK), mill(), overhang);
  }

  private static List<String> codes(Stack stack) {
    return stack.findings().stream().map(Finding::code).toList();
  }

  @Test
  void lengthIsTheHolderAndWhatStandsOutOfIt() {
    StackShape shape = stack(40).shape();
    assertEquals(127, shape.length(), 1e-9);
    assertEquals(40, shape.overhang(), 1e-9);
    assertEquals(63, shape.widest(), 1e-9);
    assertEquals(40, shape.reach(), 1e-9);
  }

  /** LPR = LF + PL where LF is at the corners: 10 mm with a point of 140 degrees, PL 1.820. */
  @Test
  void functionalLengthOfADrillEndsAtItsCorners() {
    Cutter drill =
        Cutter.of(tool("CODE=DR CLASS=drill-twist DC=10 SIG=140 LCF=50 DMM=10 OAL=89 NOF=2"))
            .orElseThrow();
    StackShape shape = new Stack("", List.of(CHUCK), drill, 55).shape();
    assertEquals(shape.length() - 1.820, shape.functional(), 5e-4);
    assertEquals(stack(40).shape().length(), stack(40).shape().functional(), 1e-9);
  }

  /** A cutter on an arbor is as long as it is: 63 mm of holder and 40 of cutter, never less. */
  @Test
  void aBoreMountedCutterHasNoFreeOverhang() {
    Cutter face =
        Cutter.of(
                tool(
                    "CODE=FM CLASS=face-mill DC=50 DCX=62 KAPR=45 APMX=6 DCONMS=22 CICT=5 LF=40 SUBSTRATE=HC"))
            .orElseThrow();
    assertEquals(Material.STEEL, face.material());
    assertEquals(40, face.usualOverhang(28));
    Stack stack = new Stack("", List.of(CHUCK), face, 4);
    assertEquals(40, stack.overhang());
    assertEquals(127, stack.shape().length(), 1e-9);
  }

  @Test
  void aCutterOfUnknownLengthIsNotStacked() {
    assertTrue(Cutter.of(tool("CODE=X CLASS=end-mill-flat DC=10 NOF=4")).isEmpty());
  }

  @Test
  void onlyACutterThatSaysSoIsOfCarbide() {
    String mill = "CODE=X CLASS=end-mill-flat DC=10 OAL=72";
    assertEquals(Material.STEEL, Cutter.of(tool(mill)).orElseThrow().material());
    assertEquals(Material.CARBIDE, Cutter.of(tool(mill + " GRADE=VHM")).orElseThrow().material());
    assertEquals(
        Material.STEEL, Cutter.of(tool(mill + " SUBSTRATE=HSS-E")).orElseThrow().material());
  }

  /** APMX 22 and 3 mm more; with little to be held by, only as far as the shank can be clamped. */
  @Test
  void aCutterUsuallyStandsOutAsFarAsItIsUsed() {
    assertEquals(25, mill().usualOverhang(28));
    Cutter shank =
        Cutter.of(tool("CODE=L CLASS=end-mill-flat DC=10 APMX=50 DMM=10 OAL=72 NOF=4"))
            .orElseThrow();
    assertEquals(44, shank.usualOverhang(28));
    assertEquals(53, shank.usualOverhang(0));
  }

  /** Frustum volumes and centres of textbooks, density 7850 and 14500 kg/m3. */
  @Test
  void massAndCentreFollowFromVolumes() {
    double flange = Math.PI / 4 * 63 * 63 * 27 * 7.85e-6;
    double cone = Math.PI * 60 / 12 * (44 * 44 + 44 * 24 + 24 * 24) * 7.85e-6;
    double cutter = Math.PI / 4 * 100 * 72 * 14.5e-6;
    double bore = Math.PI / 4 * 100 * 32 * 7.85e-6;
    double small = 44.45 - 67 * 7 / 24.0;
    double taper =
        0.88 * Math.PI * 67 / 12 * (small * small + small * 44.45 + 44.45 * 44.45) * 7.85e-6;
    double taperMiddle =
        67
                / 4.0
                * (small * small + 2 * small * 44.45 + 3 * 44.45 * 44.45)
                / (small * small + small * 44.45 + 44.45 * 44.45)
            - 67;
    StackShape shape = stack(40).shape();
    assertEquals(taper, shape.massBehind(), 1e-9);
    assertEquals(bore, shape.massBored(), 1e-9);
    assertEquals(flange + cone + cutter + taper - bore, shape.mass(), 1e-9);
    double middle =
        60 / 4.0 * (44 * 44 + 2 * 44 * 24 + 3 * 24 * 24) / (44 * 44 + 44 * 24 + 24 * 24);
    double moment =
        flange * 13.5
            + cone * (27 + middle)
            + cutter * (127 - 36)
            + taper * taperMiddle
            - bore * (87 - 16);
    assertEquals(moment / shape.mass(), shape.centre(), 1e-9);
    assertEquals(shape.mass() * 9.80665 * shape.centre() / 1000, shape.moment(), 1e-9);
  }

  /** A shank of 72 mm at an overhang of 50 is held by 22; the bore is 28 deep, so that 28 fit. */
  @Test
  void theBoreIsAsDeepAsTheShankHasToBeHeld() {
    assertEquals(Math.PI / 4 * 100 * 28 * 7.85e-6, stack(50).shape().massBored(), 1e-9);
    assertEquals(0, new Stack("", List.of(), mill(), 50).shape().massBored(), 1e-9);
  }

  /** What is hung on an arbor has no shank in a bore. */
  @Test
  void anArborHasNoBoreForAShank() {
    Cutter hung =
        Cutter.of(tool("CODE=FM CLASS=face-mill DC=50 DCONMS=22 LF=40 APMX=9 CICT=5"))
            .orElseThrow();
    assertEquals(0, new Stack("", List.of(CHUCK), hung, 40).shape().massBored(), 1e-9);
  }

  @Test
  void aShorterOverhangIsStiffer() {
    assertTrue(stack(30).shape().deflection() < stack(40).shape().deflection());
  }

  @Test
  void partsThatMateHaveNoFindings() {
    assertEquals(List.of(), codes(stack(40)));
  }

  @Test
  void whatDoesNotMateIsSaidWithTheReason() {
    Stack other = new Stack("ST-AD-40:f", List.of(CHUCK), mill(), 40);
    Finding finding = other.findings().getFirst();
    assertEquals("stack-joint", finding.code());
    assertTrue(finding.message().contains("knob"));
  }

  @ParameterizedTest
  @CsvSource({"44, ''", "45, clamping-short", "80, overhang-range", "0, overhang-range"})
  void theShankMustBeHeldLongEnough(double overhang, String code) {
    assertEquals(code.isEmpty() ? List.of() : List.of(code), codes(stack(overhang)));
  }

  /** The chuck narrows to 24 at its face and holds 28 of the 72 mm. */
  @ParameterizedTest
  @CsvSource({
    "39, 12, true, 39.0, clears; 39.0 mm of overhang would be enough",
    "41, 12, false, 41.0, H-1 touches 40.0 mm above the tip; 41.0 mm of overhang clear",
    "45, 20, true, 0.0, clears; 0.0 mm of overhang would be enough",
    "70, 13, false, , 'H-1 touches 46.0 mm above the tip; 64.0 mm of overhang would clear, but the"
        + " shank is held up to 44.0 mm only'"
  })
  void theHolderClearsAWallOrSaysHowFarToProject(
      double height, double distance, boolean clear, Double shortest, String said) {
    Wall wall = new Wall(height, distance);
    Clearance clearance = Clearance.of(stack(40), wall);
    assertEquals(clear, clearance.clear());
    assertEquals(said, clearance.sentence());
    assertEquals(clear ? Optional.empty() : Optional.of("H-1"), clearance.touching());
    assertEquals(Optional.ofNullable(shortest), clearance.shortest().map(StackTest::rounded));
    if (shortest != null && shortest > 0) {
      assertTrue(Clearance.of(stack(shortest), wall).clear());
    }
  }

  private static double rounded(double value) {
    return Math.round(value * 1e6) / 1e6;
  }

  @ParameterizedTest
  @CsvSource({"30, 40, true", "41, 40, false", "41, 41, true"})
  void inAPocketTheWallStandsHalfTheCutterBesideTheAxis(
      double depth, double overhang, boolean clear) {
    Wall wall = new Pocket(depth, Optional.of(6.0)).wall(mill());
    assertEquals(new Wall(depth, 5), wall);
    assertEquals(clear, Clearance.of(stack(overhang), wall).clear());
  }

  /** (5 - 2)(sqrt 2 - 1) = 1.243 mm along the bisector. */
  @Test
  void aCornerSmallerThanTheCutterKeepsMaterial() {
    Finding finding = new Pocket(30, Optional.of(2.0)).left(mill()).orElseThrow();
    assertEquals(
        "a corner of 2.00 mm is too small for EM-10 of 5.00 mm radius: it leaves 1.24 mm there",
        finding.message());
    assertEquals(Optional.empty(), new Pocket(30, Optional.of(5.0)).left(mill()));
    assertEquals(Optional.empty(), new Pocket(30, Optional.empty()).left(mill()));
  }

  @Test
  void aShankThickerThanTheWallAllowsNeverClears() {
    Cutter thick =
        Cutter.of(tool("CODE=EM-6 CLASS=end-mill-flat DC=6 APMX=13 DMM=10 OAL=72 NOF=4"))
            .orElseThrow();
    Clearance clearance = Clearance.of(new Stack("", List.of(CHUCK), thick, 40), new Wall(30, 3));
    assertFalse(clearance.clear());
    assertTrue(clearance.shortest().isEmpty());
    assertEquals(13, clearance.at(), 1e-6);
  }

  @Test
  void aComponentSaysWhatIsWrongWithIt() {
    Component wrong =
        new Component(
            "H 1",
            "",
            Kind.HOLDER,
            "ST-JD-41:m",
            "CY-A-10:m",
            List.of(Frustum.of("10", "-1", "20")),
            Material.STEEL,
            BigDecimal.valueOf(-5));
    assertEquals(
        List.of(
            "component-code",
            "component-connection",
            "component-connection",
            "component-body",
            "component-clamping"),
        wrong.findings().stream().map(Finding::code).toList());
    assertEquals(List.of(), CHUCK.findings());
  }

  @Test
  void whatAFileLeavesOutIsSaid() {
    Component bare = new Component("H-2", "", Kind.HOLDER, null, null, null, null, null, null);
    assertEquals(
        List.of(
            "component-connection", "component-connection", "component-body", "component-clamping"),
        bare.findings().stream().map(Finding::code).toList());
    assertEquals(
        "the connection to the machine (CCMS) is not given yet: write it as ST-A-40:m",
        bare.findings().getFirst().message());
    assertEquals(Material.STEEL, bare.material());
  }
}
