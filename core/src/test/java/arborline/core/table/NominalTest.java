package arborline.core.table;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.math.BigDecimal;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class NominalTest {

  private static BigDecimal size(String text) {
    return new BigDecimal(text);
  }

  private static Nominal nominal(Optional<BigDecimal> tolerance) {
    return new Nominal(
        Map.of(
            TableField.LENGTH, size("120"),
            TableField.DIAMETER, size("10"),
            TableField.NOSE_RADIUS, size("0.8"),
            TableField.X, BigDecimal.ZERO),
        tolerance,
        Map.of(TableField.Z, new Nominal.Window(size("60"), size("300"))),
        Set.of());
  }

  /** 2 mm of a length, 5 % of a diameter or a nose radius; what lies just there still passes. */
  @ParameterizedTest(name = "{0} {1}: {2}")
  @CsvSource({
    "LENGTH, 122, true",
    "LENGTH, 118, true",
    "LENGTH, 122.001, false",
    "DIAMETER, 10.5, true",
    "DIAMETER, 10.501, false",
    "DIAMETER, 12, false",
    "NOSE_RADIUS, 0.84, true",
    "NOSE_RADIUS, 0.85, false",
    "Z, 60, true",
    "Z, 300, true",
    "Z, 59.9, false",
    "Z, 300.1, false",
    "LENGTH_WEAR, 500, true"
  })
  void aSizeIsPlausibleNearWhatIsExpected(TableField field, String text, boolean plausible) {
    assertEquals(plausible, nominal(Optional.empty()).plausible(field, size(text)));
  }

  @Test
  void aStatedToleranceReplacesTheUsualOne() {
    Nominal tight = nominal(Optional.of(size("0.1")));
    assertTrue(tight.plausible(TableField.LENGTH, size("120.1")));
    assertFalse(tight.plausible(TableField.LENGTH, size("120.2")));
  }

  @Test
  void zeroIsRightOnlyWhereItIsNominal() {
    assertTrue(nominal(Optional.empty()).zero(TableField.X));
    assertFalse(nominal(Optional.empty()).zero(TableField.LENGTH));
    assertFalse(nominal(Optional.empty()).zero(TableField.Z));
  }

  @Test
  void whatIsOddIsAskedWithWhatWasExpected() {
    Nominal known = nominal(Optional.empty());
    assertEquals(
        Optional.of("length 12 is far from what is expected (nominal 120): measure again"),
        known.question(TableField.LENGTH, size("12")));
    assertEquals(
        Optional.of("Z 400 is far from what is expected (60 to 300 is possible): measure again"),
        known.question(TableField.Z, size("400")));
    assertEquals(Optional.empty(), known.question(TableField.LENGTH, size("120.01")));
    assertEquals("nothing is known", Nominal.UNKNOWN.expected(TableField.LENGTH));
  }
}
