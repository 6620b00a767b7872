package arborline.core.designation;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Map;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.aggregator.ArgumentsAccessor;
import org.junit.jupiter.params.provider.CsvFileSource;
import org.junit.jupiter.params.provider.CsvSource;

class ShankReaderTest {

  private static final String[] SYMBOLS = {
    "MTP",
    "SC",
    "STYLE",
    "KAPR",
    "PSIR",
    "AN",
    "HAND",
    "H",
    "B",
    "BARTYPE",
    "DMM",
    "LF",
    "SSC",
    "IC",
    "EPSR",
    "ENDCLEARANCE"
  };

  @ParameterizedTest(name = "{0}")
  @CsvFileSource(resources = "/vectors/holders.csv", numLinesToSkip = 1)
  void agreesWithWorkedCases(ArgumentsAccessor row) {
    Decoded<ShankDesignation> decoded = ShankReader.read(row.getString(0));
    assertEquals(row.getString(2).equals("yes"), decoded.valid(), decoded.findings().toString());
    if (!decoded.valid()) {
      assertFalse(decoded.findings().getFirst().message().isBlank());
      return;
    }
    Map<String, String> said = ShankProperties.of(decoded.value().orElseThrow());
    for (int i = 0; i < SYMBOLS.length; i++) {
      assertEquals(row.getString(3 + i), said.get(SYMBOLS[i]), SYMBOLS[i]);
    }
  }

  @ParameterizedTest
  @CsvSource({
    "PCLNR 2626 M 12, shank height 26 not in the series",
    "PCLNR 2025 M 12, shank width 25 exceeds height 20",
    "PSJNR 2525 M 12, 93 + 90 >= 180",
    "PCLNN 2525 M 12, 'offset style L must be R or L, not neutral'",
    "PCDNN 2525 M 12, is not symmetric",
    "S25T-PCGNR12, position 6: style G is not a boring-bar style; allowed are F K L P Q S U W X Y",
    "S25T-PCINR12, position 6: style letter I is not defined; allowed are F K L P Q S U W X Y",
    "S25Z-PCLNR12, position 3: length letter Z is not defined; allowed are A B C D E F G H J K L M N",
    "ECLNR 2525 M 12, position 1: clamping letter E is not defined; allowed are C D M P S W",
    "PYLNR 2525 M 12, position 2: shape letter Y is not defined; allowed are A B C D E H K L M O P R",
    "PCIDR 2525 M 12, position 3: style letter I is not defined; allowed are A B C D E F G H J K L M",
    "PCLYR 2525 M 12, position 4: clearance letter Y is not defined; allowed are A B C D E F G N O P",
    "PCLNQ 2525 M 12, 'position 5: hand letter Q is not R, L or N'",
    "PCLNR 2525 I 12, position 8: length letter I is not defined; allowed are A B C D E F G H J K L",
    "PCLNR 2525 M 13, position 9: insert size 13 does not exist for shape C; allowed are 04 05 06 08",
    "'', does not match 5 letters"
  })
  void saysWhatIsWrongAndWhatIsAllowed(String designation, String message) {
    String said = ShankReader.read(designation).findings().getFirst().message();
    assertTrue(said.contains(message), said);
  }
}
