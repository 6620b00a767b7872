package arborline.core.tool;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.math.BigDecimal;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class ThreadSizeTest {

  /** ISO 261 coarse pitches and ISO 725 threads per inch. */
  @ParameterizedTest
  @CsvSource({
    "M1.6, 1.6, 0.35",
    "M3, 3, 0.5",
    "M5, 5, 0.8",
    "M10, 10, 1.5",
    "M14, 14, 2",
    "M16, 16, 2",
    "M20, 20, 2.5",
    "M27, 27, 3",
    "M36, 36, 4",
    "M48, 48, 5",
    "M10x1, 10, 1",
    "M12 x 1.25, 12, 1.25",
    "1/4-20, 6.35, 1.27",
    "1/2-13 UNC, 12.7, 1.953846",
    "3/4-16 UNF, 19.05, 1.5875",
    "9/16-12, 14.2875, 2.116667"
  })
  void sizeNamesDiameterAndPitch(String text, BigDecimal diameter, BigDecimal pitch) {
    ThreadSize size = ThreadSize.parse(text).orElseThrow();
    assertEquals(0, diameter.compareTo(size.diameter()));
    assertEquals(0, pitch.compareTo(size.pitch()));
  }

  @ParameterizedTest
  @ValueSource(strings = {"", "M", "M11", "Rd 20", "10", "G1/4", "M10x"})
  void otherTextsAreNotJudged(String text) {
    assertTrue(ThreadSize.parse(text).isEmpty());
  }
}
