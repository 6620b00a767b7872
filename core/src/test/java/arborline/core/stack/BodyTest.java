package arborline.core.stack;

import static org.junit.jupiter.api.Assertions.assertEquals;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Volume and centre of frustums against sums of a hundred thousand thin slices. */
class BodyTest {

  private static final int SLICES = 100_000;

  @ParameterizedTest(name = "{0} long, {1} to {2}")
  @CsvSource({"60, 40, 40", "60, 44, 24", "60, 24, 44", "30, 0, 12", "45, 12, 0"})
  void volumeAndCentreAreThoseOfSlices(double length, double from, double to) {
    double volume = 0;
    double moment = 0;
    for (int i = 0; i < SLICES; i++) {
      double at = length * (i + 0.5) / SLICES;
      double diameter = from + (to - from) * at / length;
      double slice = Math.PI * diameter * diameter / 4 * length / SLICES;
      volume += slice;
      moment += slice * at;
    }
    Body body = new Body(length, from, to);
    assertEquals(volume, body.volume(), 1e-5 * volume);
    assertEquals(moment / volume, body.centre(), 1e-5 * length);
  }

  @Test
  void aBodyIsCutWhereItIsAsWideAsThere() {
    Body cone = new Body(60, 44, 24);
    assertEquals(new Body(15, 44, 39), cone.before(15));
    assertEquals(new Body(45, 39, 24), cone.behind(15));
  }

  @Test
  void aBodyWithoutLengthOrWidthHasItsCentreInTheMiddle() {
    assertEquals(10, new Body(20, 0, 0).centre());
    assertEquals(new Body(0, 24, 24), new Body(0, 44, 24).behind(0));
  }
}
