package arborline.core.designation;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNull;
import static org.junit.jupiter.api.Assertions.assertTrue;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Designations as shops and vendors really write them. */
class TradeFormsTest {

  @ParameterizedTest
  @CsvSource({
    "KNUX160405L11, HAND, L",
    "KNUX160405R, HAND, R",
    "RDHX0702M0, IC, 7",
    "RCMX200600, IC, 20",
    "LNMX191940, RE, 4",
    "TPG 322, S, 3.175",
    "CNMG 120408-M, RE, 0.8"
  })
  void insertIsRead(String text, String symbol, String value) {
    assertEquals(
        value, InsertProperties.of(InsertReader.read(text).value().orElseThrow()).get(symbol));
  }

  @ParameterizedTest
  @CsvSource({
    "PCLNR 2525 M 12-M, SSC, 12",
    "PDJNR 2525 M 15 04, SSC, 15",
    "A20R-SCLCR09-X, DMM, 20",
    "E06H-SCLCR06, DMM, 6",
    "MCLNR 164D, H, 25.4",
    "MCLNR 164D, B, 25.4",
    "MCLNR 164D, LF, 152.4",
    "MCLNR 164D, IC, 12.7",
    "MCLNR 164D, KAPR, 95",
    "mtjnl 123b, H, 19.05",
    "MTJNL 123B, LF, 114.3",
    "MCLNR 854D, H, 31.75",
    "MCLNR 854D, B, 25.4"
  })
  void holderIsRead(String text, String symbol, String value) {
    assertEquals(
        value, ShankProperties.of(ShankReader.read(text).value().orElseThrow()).get(symbol));
  }

  @ParameterizedTest
  @CsvSource({"CNMG1204083", "CNMG120440X9", "TPG", "TPG 3"})
  void whatIsNoneIsRefused(String text) {
    assertTrue(InsertReader.read(text).value().isEmpty());
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "MCLNR 174D | position 6: inch section 17",
        "MCLNR 164H | position 8: length letter H is not defined in inches",
        "MCLNR 161D | position 7: insert size 1 does not exist in inches"
      })
  void anInchHolderThatIsNoneIsRefusedByItsPosition(String text, String said) {
    assertTrue(
        ShankReader.read(text).findings().getFirst().message().startsWith(said),
        ShankReader.read(text).findings().toString());
  }

  /** The width to the edge of an inch holder is its maker's to say. */
  @Test
  void anInchHolderDoesNotGiveItsWidthToTheEdge() {
    assertNull(ShankProperties.of(ShankReader.read("MCLNR 164D").value().orElseThrow()).get("WF"));
  }
}
