package arborline.core.exchange;

import static org.junit.jupiter.api.Assertions.assertEquals;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class FormulaGuardTest {

  @ParameterizedTest
  @CsvSource(
      quoteCharacter = '`',
      value = {"=1+1, '=1+1", "-3, '-3", "@sum, '@sum", "'=x, ''=x", "A1, A1", "'A1, 'A1"})
  void aSpreadsheetSeesTextAndNoFormula(String text, String written) {
    assertEquals(written, FormulaGuard.guard(text));
  }

  @ParameterizedTest
  @ValueSource(
      strings = {"=1+1", "+4", "-", "'", "''", "'=", "''=", "'''-", "A1", "'A1", "", "\tx"})
  void whateverIsWrittenComesBack(String text) {
    assertEquals(text, FormulaGuard.unguard(FormulaGuard.guard(text)));
  }
}
