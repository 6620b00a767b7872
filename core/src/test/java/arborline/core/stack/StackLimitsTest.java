package arborline.core.stack;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.finding.Finding;
import arborline.core.stack.Component.Kind;
import arborline.core.tool.Sample;
import java.math.BigDecimal;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What a stack is at the edges of what is possible, and where cones meet other bodies. */
class StackLimitsTest {

  private static final Cutter MILL =
      Cutter.of(
              Sample.tool(
                  "CODE=EM CLASS=end-mill-flat DC=10 APMX=22 DMM=10 OAL=72 NOF=4 SUBSTRATE=HC"))
          .orElseThrow();

  private static Component holder(String machineSide, String clamping, Frustum... bodies) {
    return new Component(
        "H",
        "",
        Kind.HOLDER,
        machineSide,
        "CY-SF-10:f",
        List.of(bodies),
        Material.STEEL,
        new BigDecimal(clamping));
  }

  private static StackShape shape(double overhang, Frustum... bodies) {
    return new Stack("", List.of(holder("ST-JD-40:m", "28", bodies)), MILL, overhang).shape();
  }

  /** A nose from 44 down to 8 mm over 60 mm is 10 mm wide at 3.33 mm from its end. */
  @Test
  void theCutterReachesUpToWhereTheNoseIsAsWideAsItself() {
    assertEquals(40 + 60 * 2 / 36.0, shape(40, Frustum.of("60", "44", "8")).reach(), 1e-9);
    assertEquals(40, shape(40, Frustum.of("60", "44", "24")).reach(), 1e-9);
    assertEquals(40 + 60, shape(40, Frustum.of("60", "10", "8")).reach(), 1e-9);
  }

  /** A cone that widens from 63 to 83 mm over 100 mm has 73 mm at 50 mm. */
  @Test
  void widestNearTheGaugeLineIsWhatLiesWithinFiftyMillimetres() {
    StackShape shape = shape(40, Frustum.of("100", "63", "83"));
    assertEquals(83, shape.widest(), 1e-9);
    assertEquals(73, shape.widestNearGauge(), 1e-9);
    StackShape parts = shape(40, Frustum.of("50", "63", "63"), Frustum.of("20", "90", "90"));
    assertEquals(63, parts.widestNearGauge(), 1e-9);
  }

  /**
   * A cantilever of two cylinders (beam theory): 22 mm of eight tenths of 10 mm where flutes weaken
   * it, 50 mm of shank, carbide of 600 GPa.
   */
  @Test
  void flutesBendMoreThanTheShank() {
    double fluted = Math.PI * Math.pow(8, 4) / 64;
    double shank = Math.PI * Math.pow(10, 4) / 64;
    double bend =
        1000
            / (3 * 600e3)
            * (Math.pow(22, 3) / fluted + (Math.pow(72, 3) - Math.pow(22, 3)) / shank);
    assertEquals(
        bend, new Stack("", List.of(), MILL, 72).shape().deflection(), bend * 1e-6, "um per N");
  }

  @ParameterizedTest(name = "row of {0} mm from {1} to {2}: {3} findings")
  @CsvSource({
    "999.9, 63, 63, 0",
    "1000, 63, 63, 1",
    "0, 63, 63, 1",
    "60, 1000, 63, 1",
    "60, 63, 1000, 1",
    "60, 63, 0, 1",
    "0.01, 0.01, 999.9, 0"
  })
  void sizesOfABodyAreAboveNothingAndBelowAMetre(
      String length, String from, String to, int findings) {
    Component part =
        holder("ST-JD-40:m", "28", Frustum.of("27", "63", "63"), Frustum.of(length, from, to));
    assertEquals(findings, part.findings().size());
    assertTrue(part.findings().stream().map(Finding::message).allMatch(m -> m.contains("row 2")));
  }

  @ParameterizedTest(name = "clamping {0}: {1} findings")
  @CsvSource({"0, 0", "1000, 0", "1000.001, 1", "-0.001, 1"})
  void clampingIsNothingToAMetre(String clamping, int findings) {
    assertEquals(
        findings, holder("ST-JD-40:m", clamping, Frustum.of("27", "63", "63")).findings().size());
  }

  /** The spindle has another taper than the holder. */
  @Test
  void whatDoesNotGoIntoTheSpindleIsHeld() {
    Component holder = holder("ST-JD-50:m", "28", Frustum.of("27", "63", "63"));
    Stack stack = new Stack("ST-JD-40:f", List.of(holder), MILL, 40);
    assertEquals(List.of("stack-joint"), stack.findings().stream().map(Finding::code).toList());
    assertEquals(List.of(), new Stack("", List.of(holder), MILL, 40).findings());
  }

  /** 72 mm of which 28 have to be held: 44 may stand out, 44.1 not. */
  @ParameterizedTest(name = "overhang {0}: {1}")
  @CsvSource({"44, ''", "44.1, clamping-short", "0, overhang-range", "72.1, overhang-range"})
  void theShankIsHeldAsLongAsItHasToBe(double overhang, String code) {
    Component holder = holder("ST-JD-40:m", "28", Frustum.of("27", "63", "63"));
    List<String> codes =
        new Stack("ST-JD-40:f", List.of(holder), MILL, overhang)
            .findings().stream().map(Finding::code).toList();
    assertEquals(code.isEmpty() ? List.of() : List.of(code), codes);
  }
}
