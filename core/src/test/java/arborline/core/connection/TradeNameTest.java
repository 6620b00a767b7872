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
    "AR-A-22:m, arbor Ø22",
    "SQ-H-25x25:m, square 25x25",
    "TH-M-8:m, M8 screw-in",
    "CY-B-20:m, Ø20 h6 with flat",
    "CY-HY-12:f, Ø12 hydraulic",
    "no code, no code"
  })
  void codeIsCalledAsInTheShop(String code, String name) {
    assertEquals(name, Connection.tradeName(code));
  }

  @ParameterizedTest(name = "{0} begins a stack: {1}")
  @CsvSource({
    "ST-J-40:m, true",
    "HT-A-63:m, true",
    "PT-C-63:m, true",
    "MT-A-3:m, true",
    "VD-E-30:m, true",
    "CO-A-16:m, false",
    "CY-A-20:m, false",
    "TH-M-8:m, false"
  })
  void whatGoesIntoASpindleBeginsAStack(String code, boolean begins) {
    assertEquals(begins, Connection.read(code).connection().orElseThrow().family().begins());
  }

  @ParameterizedTest(name = "{0}: {1}")
  @CsvSource(
      delimiter = '|',
      value = {
        "CY-RG-10..9:f | collet range 10..9 is not FROM..TO",
        "CY-RG-9..9:f | collet range 9..9 is not FROM..TO",
        "CY-A-0:m | diameter 0 must be > 0",
        "SQ-K-25x25:m | square-slot form K unknown",
        "SQ-H-25x25:f | a slot has one size: its height",
        "SQ-H-25:m | a square shank's size is height x width",
        "PT-D-63:m | polygon-taper form D unknown",
        "PT-C-64:m | polygon taper size 64 not in the series",
        "TH-K-8:m | screw-in form K unknown",
        "AR-D-22:m | stub-arbor form D unknown"
      })
  void whatNoConnectionCanBeIsSaid(String code, String fault) {
    assertEquals(fault, Connection.read(code).fault());
  }

  @ParameterizedTest(name = "{0} in {1}: {2}")
  @CsvSource({
    "CY-A-9:m, CY-RG-9..10:f, true",
    "CY-A-10:m, CY-RG-9..10:f, true",
    "CY-A-10.1:m, CY-RG-9..10:f, false",
    "CY-A-8.9:m, CY-RG-9..10:f, false",
    "CY-A-0.5in:m, CY-SF-12.7:f, true"
  })
  void aColletTakesWhatLiesInItsRange(String shank, String bore, boolean mates) {
    assertEquals(mates, Joint.of(bore, shank).mates());
  }
}
