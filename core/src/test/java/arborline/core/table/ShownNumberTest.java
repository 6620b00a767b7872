package arborline.core.table;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class ShownNumberTest {

  @ParameterizedTest
  @CsvSource({
    "120.010, 120.010",
    "5., 5",
    ".5, 0.5",
    "-0.02, -0.02",
    "+7, 7",
    "0, 0",
    "123.14400000000001, 123.14400000000001"
  })
  void everyDigitIsKept(String shown, String plain) throws IOException {
    assertEquals(plain, ShownNumber.plain(shown, TableField.LENGTH));
  }

  /** The last of them would be four hundred million digits. */
  @ParameterizedTest
  @ValueSource(
      strings = {"", " ", ".", "-", "1,5", "0x10", "NaN", "Infinity", "1E3", "1E400000000"})
  void whatNoControlShowsIsRefused(String shown) {
    IOException refused =
        assertThrows(IOException.class, () -> ShownNumber.plain(shown, TableField.LENGTH));
    assertEquals(
        "it shows '%s' as length, which is no number that a control shows".formatted(shown),
        refused.getMessage());
  }

  @Test
  void aLongOneIsNotQuotedWhole() {
    IOException refused =
        assertThrows(
            IOException.class, () -> ShownNumber.plain("9".repeat(5000), TableField.LENGTH));
    assertTrue(refused.getMessage().length() < 120, refused.getMessage());
  }
}
