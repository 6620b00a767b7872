package arborline.core.connection;

import static org.junit.jupiter.api.Assertions.assertEquals;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Connections in the words of the trade. */
class TradeNameTest {

  @ParameterizedTest
  @CsvSource({
    "ST-J-40:m, BT40",
    "ST-A-40:f, SK40",
    "ST-U-50:m, CAT50",
    "'ST-JD-40:f', 'BT40, coolant through'",
    "HT-A-63:m, HSK-A63",
    "PT-C-63:m, PSC 63",
    "CO-A-16:f, ER16",
    "VD-E-30:m, VDI 30",
    "CY-A-10:m, Ø10 h6",
    "CY-SF-10:f, Ø10 shrink fit",
    "CY-RG-9..10:f, Ø9..10 collet",
    "MT-A-3:m, MT 3",
    "no code, no code"
  })
  void codeIsCalledAsInTheShop(String code, String name) {
    assertEquals(name, Connection.tradeName(code));
  }
}
