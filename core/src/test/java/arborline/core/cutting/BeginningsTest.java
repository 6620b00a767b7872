package arborline.core.cutting;

import static org.junit.jupiter.api.Assertions.assertEquals;

import arborline.core.tool.Sample;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What a tool is begun with where nobody has said anything yet. */
class BeginningsTest {

  private static final WorkMaterial STEEL = WorkMaterials.named("p-alloy-annealed").orElseThrow();

  private static CuttingMethod method(String tool) {
    return CuttingMethod.of(Sample.tool(tool)).orElseThrow();
  }

  @ParameterizedTest(name = "{0}: ap {1}, ae {2}, over the middle {3}")
  @CsvSource({
    "CLASS=end-mill-flat DC=10 APMX=22 NOF=4, 10, 3, false",
    "CLASS=end-mill-flat DC=10 APMX=6 NOF=4, 6, 3, false",
    "CLASS=end-mill-ball DC=10 RE=5 APMX=22 NOF=2, 1, 1, false",
    "CLASS=end-mill-corner-radius DC=10 RE=4.9 APMX=22 NOF=2, 10, 3, false",
    "CLASS=face-mill DC=50 DCONMS=22 APMX=9 CICT=5, 2, 35, true",
    "CLASS=face-mill DC=50 DCONMS=22 APMX=1.5 CICT=5, 1.5, 35, true",
    "CLASS=slot-mill-disc DC=80 DCONMS=22 CW=4 NOF=20, 4, 8, false"
  })
  void aMillBeginsAsIsUsual(String tool, double depth, double width, boolean centred) {
    CutRequest begin = method(tool).begin(150, 0.05);
    assertEquals(new CutRequest(150, 0.05, depth, width, 0, centred), begin);
  }

  @ParameterizedTest(name = "{0}: ap {1}, work {2}")
  @CsvSource({
    "CLASS=turning-external KAPR=95 RE=0.4 H=25 B=25, 1, 50",
    "CLASS=turning-external KAPR=95 H=25 B=25, 2, 50",
    "CLASS=turning-internal KAPR=95 RE=0.8 DMIN=25 DMM=20, 2, 25",
    "CLASS=turning-grooving CW=3 RE=0.2 H=25 B=25, 3, 50"
  })
  void aTurningToolBeginsAsIsUsual(String tool, double depth, double work) {
    assertEquals(new CutRequest(180, 0.2, depth, 0, work, false), method(tool).begin(180, 0.2));
  }

  @ParameterizedTest(name = "{0}: {1} to {2} mm")
  @CsvSource({
    "CLASS=turning-external KAPR=95 RE=0.4 H=25 B=25, 0.08, 0.24",
    "CLASS=turning-external KAPR=95 H=25 B=25, 0.16, 0.48",
    "CLASS=turning-grooving CW=3 RE=0.2 H=25 B=25, 0.06, 0.15",
    "CLASS=turning-threading TP=1.5 TPN=1 H=25 B=25, 1.5, 1.5",
    "CLASS=tap-cutting TD=6.35 TPI=20, 1.27, 1.27",
    "CLASS=end-mill-flat DC=10 NOF=4, 0.03, 0.08",
    "CLASS=end-mill-flat DC=5 NOF=4, 0.015, 0.04",
    "CLASS=drill-twist DC=10 SIG=140, 0.105, 0.28",
    "CLASS=reamer DC=10, 0.12, 0.32",
    "CLASS=drill-deep-hole DC=8 NOF=1, 0.0156, 0.0416"
  })
  void feedsAreThoseOfTheTrade(String tool, double low, double high) {
    UsualRange feeds = method(tool).feeds(STEEL);
    assertEquals(low, feeds.low(), 1e-9);
    assertEquals(high, feeds.high(), 1e-9);
  }

  /** A thread is cut in shallow passes. */
  @Test
  void aThreadingToolBeginsShallow() {
    CutRequest begin = method("CLASS=turning-threading TP=1.5 TPN=1 H=25 B=25").begin(120, 1.5);
    assertEquals(0.1, begin.depth(), 1e-9);
  }

  @Test
  void aToolOfHighSpeedSteelBeginsSlower() {
    StartingValues carbide = start("CLASS=end-mill-flat DC=10 NOF=4");
    StartingValues steel = start("CLASS=end-mill-flat DC=10 NOF=4 SUBSTRATE=HSS");
    assertEquals(150, carbide.request().speed(), 1e-9);
    assertEquals(28, steel.request().speed(), 1e-9);
    assertEquals(0.055, carbide.request().feed(), 1e-9);
  }

  private static StartingValues start(String tool) {
    return StartingValues.of(method(tool), STEEL);
  }
}
