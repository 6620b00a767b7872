package arborline.server.library;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class DiameterBarsTest {

  @ParameterizedTest
  @CsvSource({"0, 0", "0.999, 0", "1, 1", "9.99, 9", "10, 10", "11.9, 10", "12, 11", "5000, 22"})
  void aDiameterFallsIntoTheBarThatBeginsAtOrBelowIt(double diameter, int bar) {
    assertEquals(bar, DiameterBars.of(diameter));
  }

  @Test
  void barsFollowOneAnother() {
    for (int bar = 1; bar <= DiameterBars.count(); bar++) {
      assertTrue(DiameterBars.from(bar).compareTo(DiameterBars.from(bar - 1)) > 0);
    }
  }
}
