package arborline.core.cutting;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.tool.Sample;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What holds for every cut, tried with a seeded chance in every material. */
class CutPropertiesTest {

  private static final double NONE = Double.POSITIVE_INFINITY;
  private static final int CUTS = 40;

  private interface Property {
    void holds(WorkMaterial material, CutRequest request);
  }

  private static void forAll(CuttingMethod method, Property property) {
    Random chance = new Random(7);
    for (WorkMaterial material : WorkMaterials.all()) {
      for (int i = 0; i < CUTS; i++) {
        CutRequest request =
            new CutRequest(
                5 + chance.nextInt(900),
                0.01 + chance.nextInt(40) / 100.0,
                0.1 + chance.nextInt(30) / 10.0,
                0.1 + chance.nextInt(90) / 10.0,
                20 + chance.nextInt(200),
                chance.nextBoolean());
        if (Cut.obstacle(method, request).isEmpty()) {
          property.holds(material, request);
        }
      }
    }
  }

  private static CuttingMethod method(String tool) {
    return CuttingMethod.of(Sample.tool(tool)).orElseThrow();
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "CLASS=end-mill-flat DC=10 NOF=4",
        "CLASS=end-mill-ball DC=10 RE=5 NOF=2",
        "CLASS=drill-twist DC=10 SIG=140 NOF=2",
        "CLASS=turning-external KAPR=95 RE=0.8",
        "CLASS=turning-grooving CW=3 RE=0.2"
      })
  void aCutKeepsEveryLimitAndGivesNoMoreThanIsWished(String tool) {
    CuttingMethod method = method(tool);
    Limits limits = new Limits(8000, 4, 12, 0.1, 60);
    forAll(
        method,
        (material, request) -> {
          Cut cut = Cut.of(method, material, request, limits);
          assertTrue(cut.rotation() <= 8000 + 1e-6);
          assertTrue(cut.power() <= 4 && cut.torque() <= 12 && cut.bend() <= 60, cut.toString());
          assertTrue(cut.speed() <= request.speed() + 1e-9 && cut.feed() <= request.feed() + 1e-12);
        });
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "CLASS=end-mill-flat DC=10 NOF=4",
        "CLASS=drill-twist DC=10 SIG=140 NOF=2",
        "CLASS=turning-external KAPR=95 RE=0.8"
      })
  void moreFeedTakesMorePowerAndAThickerChip(String tool) {
    CuttingMethod method = method(tool);
    forAll(
        method,
        (material, request) -> {
          Cut less = Cut.of(method, material, request, Limits.NONE);
          Cut more =
              Cut.of(
                  method,
                  material,
                  request.with(request.speed(), 1.5 * request.feed()),
                  Limits.NONE);
          assertTrue(more.power() > less.power() && more.chip() > less.chip());
          assertEquals(1.5 * less.feedRate(), more.feedRate(), 1e-6 * more.feedRate());
        });
  }

  @Test
  void powerIsTorqueTimesRotation() {
    for (String tool : new String[] {"CLASS=end-mill-flat DC=10 NOF=4", "CLASS=drill-twist DC=8"}) {
      CuttingMethod method = method(tool);
      forAll(
          method,
          (material, request) -> {
            Cut cut = Cut.of(method, material, request, Limits.NONE);
            assertEquals(
                cut.power(), cut.torque() * Math.PI * cut.rotation() / 30_000, 1e-9 * cut.power());
          });
    }
  }

  @Test
  void everyPointOfTheWindowKeepsTheLimits() {
    CuttingMethod method = method("CLASS=end-mill-flat DC=16 NOF=4");
    Limits limits = new Limits(NONE, 5, 20, 0, NONE);
    for (WorkMaterial material : WorkMaterials.all()) {
      CutRequest request = new CutRequest(100, 0.05, 10, 8);
      Window window = Window.of(method, material, request, limits);
      assertTrue(window.feedLow() < window.feedHigh());
      for (Window.WindowPoint point : window.points()) {
        Cut cut = Cut.of(method, material, request.with(point.speed(), point.feed()), Limits.NONE);
        assertTrue(cut.power() <= 5.0001 && cut.torque() <= 20.0001);
        assertTrue(point.feed() <= window.feedHigh() + 1e-12);
      }
    }
  }
}
