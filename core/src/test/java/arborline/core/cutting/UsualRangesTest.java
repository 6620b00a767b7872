package arborline.core.cutting;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.tool.Sample;
import arborline.core.tool.Tool;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Where somebody begins lies in what handbooks call usual. */
class UsualRangesTest {

  private static CutRange begin(String tool, String material) {
    Tool read = Sample.tool(tool);
    CutRequest request =
        StartingValues.of(
                CuttingMethod.of(read).orElseThrow(), WorkMaterials.named(material).orElseThrow())
            .request();
    return new CutRange(request.speed(), request.feed());
  }

  private record CutRange(double speed, double feed) {}

  @ParameterizedTest(name = "{0} in {1}")
  @CsvSource({
    "CLASS=end-mill-flat DC=10 SUBSTRATE=HC, p-low-carbon, 120, 200, 0.03, 0.08",
    "CLASS=end-mill-flat DC=10 SUBSTRATE=HSS, p-low-carbon, 25, 60, 0.03, 0.08",
    "CLASS=end-mill-flat DC=10 SUBSTRATE=HC, m-austenitic, 60, 120, 0.03, 0.06",
    "CLASS=drill-twist DC=10 SIG=140 SUBSTRATE=HC, p-low-carbon, 70, 120, 0.08, 0.25",
    "CLASS=drill-twist DC=10 SIG=118 SUBSTRATE=HSS, p-low-carbon, 20, 35, 0.08, 0.25",
    "CLASS=drill-twist DC=10 SIG=140 SUBSTRATE=HC, m-austenitic, 35, 70, 0.06, 0.2",
    "CLASS=reamer DC=10 NOF=6 SUBSTRATE=HSS, p-low-carbon, 7, 12, 0.15, 0.35",
    "CLASS=reamer DC=10 NOF=6 SUBSTRATE=HC, p-low-carbon, 20, 40, 0.15, 0.35",
    "CLASS=reamer DC=10 NOF=6 SUBSTRATE=HC, p-alloy-annealed, 20, 40, 0.15, 0.35",
    "CLASS=drill-deep-hole DC=8 NOF=1 SUBSTRATE=HC, p-low-carbon, 60, 100, 0.02, 0.04",
    "CLASS=tap-cutting TD=8 TP=1.25 SUBSTRATE=HC, p-low-carbon, 10, 20, 1.25, 1.25"
  })
  void whereOneBeginsIsUsual(
      String tool, String material, double slow, double fast, double small, double large) {
    CutRange begun = begin(tool, material);
    assertTrue(begun.speed() >= slow && begun.speed() <= fast, begun.toString());
    assertTrue(begun.feed() >= small && begun.feed() <= large, begun.toString());
  }

  /** fn/z·sin(SIG/2): one edge of a gun drill cuts the whole feed, six of a reamer share it. */
  @ParameterizedTest
  @CsvSource({
    "CLASS=drill-deep-hole DC=8 NOF=1 SIG=180, 0.03, 0.03",
    "CLASS=reamer DC=8 NOF=6, 0.24, 0.04",
    "CLASS=drill-twist DC=10 NOF=2 SIG=180, 0.2, 0.1"
  })
  void theEdgesShareTheFeed(String tool, double feed, double chip) {
    WorkMaterial steel = WorkMaterials.named("p-low-carbon").orElseThrow();
    CuttingMethod method = CuttingMethod.of(Sample.tool(tool)).orElseThrow();
    assertEquals(
        chip, method.load(steel, 60, 2000, feed, new CutRequest(60, feed, 0, 0)).chip(), 1e-9);
  }

  /** Between rows that the flat front overlaps, nothing stays: D 10, RE 1 leaves 0 up to 8 mm. */
  @ParameterizedTest
  @CsvSource({"8, 0", "7, 0", "9, 133.97", "10, 1000"})
  void aFlatFrontLeavesNoRidge(double width, double ridge) {
    WorkMaterial steel = WorkMaterials.named("p-low-carbon").orElseThrow();
    CuttingMethod method =
        CuttingMethod.of(Sample.tool("CLASS=end-mill-corner-radius DC=10 RE=1 APMX=22 NOF=4"))
            .orElseThrow();
    Load load = method.load(steel, 150, 4775, 0.05, new CutRequest(150, 0.05, 1, width));
    assertEquals(
        ridge,
        load.figures().stream()
            .filter(figure -> figure.title().startsWith("Ridge"))
            .findFirst()
            .orElseThrow()
            .value(),
        0.01);
  }

  @org.junit.jupiter.api.Test
  void aFormingTapNeedsALargerHoleAndMoreTorque() {
    WorkMaterial steel = WorkMaterials.named("p-low-carbon").orElseThrow();
    CuttingMethod cuts =
        CuttingMethod.of(Sample.tool("CLASS=tap-cutting TD=8 TP=1.25")).orElseThrow();
    CuttingMethod forms =
        CuttingMethod.of(Sample.tool("CLASS=tap-forming TD=8 TP=1.25")).orElseThrow();
    CutRequest request = new CutRequest(15, 1.25, 0, 0);
    Load cut = cuts.load(steel, 15, 600, 1.25, request);
    Load formed = forms.load(steel, 15, 600, 1.25, request);
    assertEquals(6.75, cut.figures().getFirst().value(), 1e-9);
    assertEquals(7.375, formed.figures().getFirst().value(), 1e-9);
    assertTrue(formed.power() >= 1.5 * cut.power() && formed.power() <= 2 * cut.power());
  }
}
