package arborline.core.stack;

import static org.junit.jupiter.api.Assertions.assertEquals;

import arborline.core.tool.outline.Point;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class BehindGaugeTest {

  /** 7/24 from 44.45 mm over 67 mm; 1:9.98 and 1:20 over the shares of the flange. */
  @ParameterizedTest(name = "{0}: {1} long, {2} to {3}")
  @CsvSource({
    "ST-JD-40:m, 67, 24.9083, 44.45",
    "ST-A-50:m, 102, 40.1, 69.85",
    "HT-A-63:m, 31.5, 44.7237, 47.88",
    "PT-C-63:m, 37.8, 43.47, 45.36"
  })
  void aTaperIsAsLongAndWideAsItsStandardSays(
      String code, double length, double small, double large) {
    List<Point> profile =
        BehindGauge.of(code).profile().stream()
            .map(point -> new Point(point.z(), 2 * point.r()))
            .toList();
    assertEquals(-length, profile.getFirst().z(), 1e-9);
    assertEquals(small, profile.getFirst().r(), 1e-3);
    assertEquals(0, profile.getLast().z());
    assertEquals(large, profile.getLast().r(), 1e-9);
  }

  @Test
  void itsMassLiesBehindTheGaugeLine() {
    BehindGauge taper = BehindGauge.of("ST-JD-40:m");
    Body body = new Body(67, 44.45 - 7.0 / 24 * 67, 44.45);
    assertEquals(body.centre() - 67, taper.centre(), 1e-9);
    double solid = body.volume() * 1e-9 * Material.STEEL.density();
    double share = taper.mass(Material.STEEL) / solid;
    assertEquals(0.8, share, 0.2, "a taper is bored for its knob, but mostly solid");
  }

  @ParameterizedTest
  @CsvSource({"ST-JD-40:f", "CY-A-20:m", "no code"})
  void whatHasNoTaperHasNothingThere(String code) {
    assertEquals(List.of(), BehindGauge.of(code).profile());
    assertEquals(0, BehindGauge.of(code).mass(Material.STEEL));
  }

  @Test
  void aTurretShankIsACylinderOfItsSize() {
    BehindGauge shank = BehindGauge.of("VD-B-40:m");
    assertEquals(63, shank.length());
    assertEquals(40, shank.from());
    assertEquals(40, shank.to());
    assertEquals(BehindGauge.NONE, BehindGauge.of("VD-B-80:m"), "nobody states how long that is");
  }
}
