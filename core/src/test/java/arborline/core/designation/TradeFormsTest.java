package arborline.core.designation;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

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
    "E06H-SCLCR06, DMM, 6"
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
}
