package arborline.core.recipe;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.math.BigDecimal;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Radii of a list that are wanted as diameters, however the cells write them. */
class MultipliedCellTest {

  private static final BigDecimal TWO = BigDecimal.valueOf(2);

  private static Optional<String> doubled(String cell, char decimal) {
    return MultipliedCell.of(cell, "DC", TWO, decimal);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "5|10",
        "5.25|10.5",
        "5 mm|10 mm",
        "5mm|10mm",
        ".25|0.5",
        ".25\"|0.5\"",
        "\u00d85|\u00d810",
        "5 h6|10 h6",
        "5h6|10h6",
        "1/4|0.5 in",
        "1-3/8|2.75 in",
        "1 3/8 in|2.75 in",
        "1,234.5|2469",
        "0.0|0",
        "-2|-4"
      })
  void withADecimalPoint(String cell, String doubled) {
    assertEquals(Optional.of(doubled), doubled(cell, '.'));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {"5,25|10,5", "1.234,5|2469", "5,25 mm|10,5 mm", "6,1725|12,345", "1/8|0,25 in"})
  void withADecimalComma(String cell, String doubled) {
    assertEquals(Optional.of(doubled), doubled(cell, ','));
  }

  @Test
  void aCommaThatPartsNoThousandsIsOneOfDecimals() {
    assertEquals(Optional.of("3"), doubled("1,5", '.'));
  }

  @ParameterizedTest
  @ValueSource(strings = {"#7", "5 to 8", "abc", "1,234", "5/0", "1/3", "5 lang", "5 kg", "", "."})
  void whatIsNoOneNumberIsNotMultiplied(String cell) {
    assertEquals(Optional.empty(), doubled(cell, '.'));
  }

  @Test
  void aPointThatMayPartThousandsIsNotMultiplied() {
    assertEquals(Optional.empty(), doubled("1.234", ','));
  }

  @Test
  void anAngleAsAFractionIsNotInInches() {
    assertEquals(Optional.of("45"), MultipliedCell.of("22 1/2", "SIG", TWO, '.'));
  }
}
