package arborline.core.cutting;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.finding.Finding;
import arborline.core.tool.Sample;
import arborline.core.tool.Tool;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class MaterialsTest {

  private static OptionalDouble number(String text) {
    return text == null ? OptionalDouble.empty() : OptionalDouble.of(Double.parseDouble(text));
  }

  private static OwnMaterial own(
      String name, String group, String force, String rise, String hardness) {
    return new OwnMaterial(
        name == null ? "" : name, group, number(force), number(rise), number(hardness));
  }

  @ParameterizedTest(name = "{0} {1} HB")
  @CsvSource({
    "P, 125, 1500", "P, 180, 1700", "P, 240, 1825", "P, 300, 1950", "H, 475, 3100",
    "H, 650, 4700", "M, 180, 2000", "K, 200, 1100", "N, 90, 600", "S, 350, 2400"
  })
  void hardnessGivesTheForceOfTextbooks(String group, String hardness, double force) {
    assertEquals(force, own("x", group, null, null, hardness).material("x").force());
  }

  @ParameterizedTest
  @CsvSource({"M", "K", "N", "S"})
  void harderMetalNeedsMoreForce(String group) {
    double soft = own("x", group, null, null, "100").material("x").force();
    double hard = own("x", group, null, null, "300").material("x").force();
    assertTrue(soft < hard);
  }

  @Test
  void whatIsNotGivenFollowsTheMostSimilarOfTheGroup() {
    WorkMaterial bronze = own("cast bronze CuSn12", "N", "950", null, null).material("own-1");
    WorkMaterial like = WorkMaterials.named("n-bronze").orElseThrow();
    assertEquals(950, bronze.force());
    assertEquals(like.rise(), bronze.rise());
    assertEquals(like.speedHigh(), bronze.speedHigh());
    assertEquals("own-1", bronze.id());
  }

  @ParameterizedTest(name = "{5}")
  @CsvSource({
    ", P, 1500, , , a material needs a name of 1 to 60 characters",
    "x, Q, 1500, , , 'group is one of P, M, K, N, S, H, W, O, not ''Q'''",
    "x, P, 5, , , kc1.1 must be 10 to 10 000 N/mm²",
    "x, P, 1e9, , , kc1.1 must be 10 to 10 000 N/mm²",
    "x, P, NaN, , , kc1.1 must be 10 to 10 000 N/mm²",
    "x, P, 1500, 1.5, , mc must be 0 to 1",
    "x, P, , , 10, hardness must be 20 to 750 HB",
    "x, P, , , -5, hardness must be 20 to 750 HB",
    "x, W, , , 100, 'give kc1.1; or the hardness, which does for metals only'",
    "x, P, , , , 'give kc1.1; or the hardness, which does for metals only'"
  })
  void saysWhatAnOwnMaterialLacks(
      String name, String group, String force, String rise, String hardness, String message) {
    OwnMaterial own = own(name, group, force, rise, hardness);
    assertEquals(message, own.obstacle().orElseThrow().message());
    assertThrows(IllegalStateException.class, () -> own.material("x"));
  }

  @ParameterizedTest
  @CsvSource({
    "P, 10, 0, ",
    "P, 10000, 0.999, ",
    "P, , , 20",
    "H, , , 750",
    "W, 40, , ",
    "P, 1500, , 200"
  })
  void whatReachesALimitIsStillAMaterial(String group, String force, String rise, String hardness) {
    String longest = "n".repeat(60);
    assertEquals(Optional.empty(), own(longest, group, force, rise, hardness).obstacle());
    assertEquals(
        "a material needs a name of 1 to 60 characters",
        own(longest + "n", group, force, rise, hardness).obstacle().orElseThrow().message());
  }

  @ParameterizedTest(name = "P {0} HB")
  @CsvSource({"100, 1400", "60, 1240", "150, 1600", "700, 5157"})
  void beyondTheTableTheNextLineGoesOn(String hardness, double force) {
    assertEquals(force, own("x", "P", null, null, hardness).material("x").force());
  }

  private static final String MILL = "CLASS=end-mill-flat DC=10 APMX=22 DMM=10 OAL=72 NOF=4";

  private static StartingValues start(String tool, String material) {
    return start(Sample.tool(tool), WorkMaterials.named(material).orElseThrow());
  }

  private static StartingValues start(Tool tool, WorkMaterial material) {
    return StartingValues.of(CuttingMethod.of(tool).orElseThrow(), material);
  }

  @Test
  void beginsInTheMiddleOfTheUsual() {
    StartingValues start = start(MILL, "p-alloy-annealed");
    assertEquals(150, start.request().speed());
    assertEquals(0.055, start.request().feed());
    assertEquals(10, start.request().depth());
    assertEquals(3, start.request().width());
    assertEquals(
        List.of("the sheet does not say what the edges are made of: this is for coated carbide"),
        start.findings().stream().map(Finding::message).toList());
    assertEquals(List.of(), start(MILL + " SUBSTRATE=HC", "p-alloy-annealed").findings());
  }

  @ParameterizedTest
  @CsvSource({"HSS, 28", "high-speed_steel, 28", "HW, 112", "hc, 150", "something, 150"})
  void edgesOfAnotherMaterialRunAtAnotherSpeed(String substrate, double speed) {
    assertEquals(
        speed, start(MILL + " SUBSTRATE=" + substrate, "p-alloy-annealed").request().speed());
  }

  @Test
  void saysWhichPairsAreNotUsual() {
    Finding finding = start(MILL + " SUBSTRATE=DP", "p-alloy-annealed").findings().getFirst();
    assertEquals("polycrystalline diamond is not usual in group P", finding.message());
    assertEquals(List.of(), start(MILL + " SUBSTRATE=DP", "o-cfrp").findings());
  }

  @Test
  void drillsFeedAlongTheirAxisAndMore() {
    StartingValues drill =
        start("CLASS=drill-twist DC=10 SIG=140 LCF=50 DMM=10 OAL=89 NOF=2", "p-alloy-annealed");
    assertEquals(List.of(CutInput.FEED_PER_REVOLUTION), drill.inputs());
    assertEquals(0.192, drill.request().feed());
    assertEquals(0, drill.request().depth());
  }

  @ParameterizedTest
  @CsvSource({
    "CLASS=turning-external RE=0.8 KAPR=95, 0.32, 2, 50",
    "CLASS=turning-internal RE=0.4 KAPR=95 DMIN=32, 0.16, 1, 32",
    "CLASS=turning-grooving CW=3 RE=0.2, 0.105, 3, 50",
    "CLASS=tap-cutting TD=8 TP=1.25, 1.25, 0, 0"
  })
  void eachWayOfCuttingBeginsInItsOwnWay(String tool, double feed, double depth, double work) {
    CutRequest request = start(tool, "p-alloy-annealed").request();
    assertEquals(feed, request.feed(), 1e-9);
    assertEquals(depth, request.depth(), 1e-9);
    assertEquals(work, request.work(), 1e-9);
  }

  @Test
  void feedGrowsWithDiameterBetweenLimits() {
    Tool thin = Sample.tool(MILL.replace("DC=10", "DC=0.5"));
    Tool wide = Sample.tool(MILL.replace("DC=10", "DC=100"));
    WorkMaterial steel = WorkMaterials.named("p-low-carbon").orElseThrow();
    assertEquals(0.006, start(thin, steel).request().feed(), 1e-9);
    assertEquals(0.165, start(wide, steel).request().feed(), 1e-9);
  }

  @Test
  void tablesNameEachEntryOnce() {
    assertEquals(
        CutterMaterial.all().size(),
        CutterMaterial.all().stream().map(CutterMaterial::id).distinct().count());
    assertTrue(Coating.all().stream().allMatch(coating -> coating.sentence().endsWith(".")));
    assertTrue(Coating.all().stream().anyMatch(coating -> coating.id().equals("TiAlN")));
  }
}
