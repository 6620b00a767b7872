package arborline.core.duplicate;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNotEquals;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CodeSpellingTest {

  @ParameterizedTest
  @CsvSource({
    "MC-4010-08, mc4010/8",
    "MC-4010-08, MC 4010.08",
    "MC-4010-08, MC-4O10-08",
    "DRILL-Ä7, drill-a07",
    "EM-12-3, EM12_3",
    "-EM-8-, EM8"
  })
  void spellingsOfOneCodeAreTheSame(String one, String other) {
    assertEquals(CodeSpelling.of(one), CodeSpelling.of(other));
  }

  @ParameterizedTest
  @CsvSource({"EM-1-12, EM-11-2", "EM-8, EM-80", "EM-8, EN-8", "EM-8-1, EM-81", "OIL-8, 0IL-8"})
  void otherCodesAreNot(String one, String other) {
    assertNotEquals(CodeSpelling.of(one), CodeSpelling.of(other));
  }
}
