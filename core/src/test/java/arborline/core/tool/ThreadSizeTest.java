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
    "9/16-12, 14.2875, 2.116667",
    "'M8x1,25', 8, 1.25",
    "M 8 X 1.25, 8, 1.25",
    "M8×1, 8, 1",
    "MF10x1, 10, 1",
    "M10-6H, 10, 1.5",
    "M10x1-6H LH, 10, 1",
    "M8 6HX, 8, 1.25",
    "#8-32, 4.1656, 0.79375",
    "No. 10-32 UNF, 4.826, 0.79375",
    "#10 UNC, 4.826, 1.058333",
    "1/4 UNC, 6.35, 1.27",
    "UNF 5/16, 7.9375, 1.058333",
    "'1/4\"-20 UNC-2B', 6.35, 1.27",
    "1/2 UNEF, 12.7, 0.907143",
    "1 1/8-7, 28.575, 3.628571",
    "1-1/2-6 UNC, 38.1, 4.233333",
    "½-13, 12.7, 1.953846",
    "G1/4, 13.157, 1.336842",
    "G 1 1/2, 47.803, 2.309091",
    "Rc 1/8, 9.728, 0.907143",
    "1/4-18 NPT, 13.716, 1.411111",
    "NPT 1/2, 21.336, 1.814286",
    "Tr16x4, 16, 4",
    "Tr 40x14 P7, 40, 7",
    "W 3/8-16, 9.525, 1.5875"
  })
  void sizeNamesDiameterAndPitch(String text, BigDecimal diameter, BigDecimal pitch) {
    ThreadSize size = ThreadSize.parse(text).orElseThrow();
    assertEquals(0, diameter.compareTo(size.diameter()));
    assertEquals(0, pitch.compareTo(size.pitch()));
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "M10x3",
        "M10 x 25",
        "M30x4",
        "M8x8",
        "M8x0",
        "Tr8x8",
        "Tr16x0",
        "W 3/8-17",
        "G1/4-20",
        "0-20",
        "",
        "M",
        "M13",
        "Rd 20",
        "10",
        "M10x",
        "1/4-21 UNC",
        "1/0-20",
        "Tr16",
        "M8x9",
        "#8",
        "G9"
      })
  void otherTextsAreNotJudged(String text) {
    assertTrue(ThreadSize.parse(text).isEmpty());
  }
}
