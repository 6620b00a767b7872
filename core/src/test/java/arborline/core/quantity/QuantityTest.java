package arborline.core.quantity;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.math.BigDecimal;
import java.util.Arrays;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

class QuantityTest {

  @Test
  void writtenOtherwiseIsTheSameSize() {
    assertTrue(Quantity.of("12.70", Unit.MILLIMETRE).sameAs(Quantity.of("0.5", Unit.INCH)));
    assertFalse(Quantity.of("12.7001", Unit.MILLIMETRE).sameAs(Quantity.of("0.5", Unit.INCH)));
    assertFalse(
        Quantity.of("10", Unit.MILLIMETRE).sameAs(Quantity.of("0.393700787402", Unit.INCH)));
    assertTrue(
        Quantity.of("20", Unit.THREADS_PER_INCH).sameAs(Quantity.of("1.27", Unit.MILLIMETRE)));
    assertTrue(Quantity.of("0.05", Unit.INCH).sameAs(Quantity.of("20", Unit.THREADS_PER_INCH)));
    assertFalse(Quantity.of("0", Unit.THREADS_PER_INCH).sameAs(Quantity.of("0", Unit.INCH)));
    assertFalse(Quantity.of("90", Unit.DEGREE).sameAs(Quantity.of("90", Unit.MILLIMETRE)));
  }

  @ParameterizedTest
  @CsvSource({
    "10, MILLIMETRE, INCH, 4, 0.3937",
    "0.5, INCH, MILLIMETRE, 3, 12.7",
    "20, THREADS_PER_INCH, MILLIMETRE, 3, 1.27"
  })
  void shownInAnotherUnitIsRoundedHalfUp(
      String text, Unit from, Unit to, int decimals, String shown) {
    assertEquals(shown, Quantity.of(text, from).shown(to, decimals));
  }

  @Test
  void theUnitIsSaidUnlessItIsACount() {
    assertEquals("0.5 in", Quantity.of("0.5", Unit.INCH).toString());
    assertEquals("4", Quantity.of("4", Unit.ONE).toString());
  }

  static Stream<Unit> units() {
    return Arrays.stream(Unit.values());
  }

  /** A conversion that calls itself exact comes back to the digit. */
  @ParameterizedTest
  @MethodSource("units")
  void exactConversionsComeBack(Unit from) {
    Random random = new Random(from.ordinal());
    for (Unit to : Unit.values()) {
      for (int i = 0; i < 40 && from.kind() == to.kind(); i++) {
        BigDecimal amount = BigDecimal.valueOf(1 + random.nextInt(10_000_000), 4);
        Conversion.Converted there = Conversion.convert(amount, from, to);
        BigDecimal back = Conversion.convert(there.amount(), to, from).amount();
        if (there.exact()) {
          assertEquals(0, amount.compareTo(back), "%s %s to %s".formatted(amount, from, to));
        } else {
          double off = amount.subtract(back).abs().doubleValue() / amount.doubleValue();
          assertTrue(off < 1e-6, "%s %s to %s".formatted(amount, from, to));
        }
      }
    }
  }

  @ParameterizedTest
  @MethodSource("units")
  void everyUnitIsFoundByItsCodeInAnyCase(Unit unit) {
    assertEquals(unit, Unit.named(unit.code().toUpperCase(java.util.Locale.ROOT)).orElseThrow());
  }
}
