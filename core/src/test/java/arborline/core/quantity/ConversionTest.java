package arborline.core.quantity;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertInstanceOf;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvFileSource;

class ConversionTest {

  @ParameterizedTest(name = "{0} {1} to {2}")
  @CsvFileSource(resources = "/vectors/units.csv", numLinesToSkip = 1, emptyValue = "")
  void agreesWithWorkedCases(
      String text,
      String from,
      String to,
      String valid,
      String exact,
      String isExact,
      int decimals,
      String halfUp,
      String halfEven) {
    Unit source = Unit.named(from).orElseThrow();
    Unit target = Unit.named(to).orElseThrow();
    Entry entry = EntryParser.parse(text == null ? "" : text, source);
    if (!valid.equals("yes")) {
      assertTrue(
          entry instanceof Entry.Refused
              || Conversion.obstacle(amount(entry), source, target).isPresent(),
          "must be refused");
      return;
    }
    Conversion.Converted converted = Conversion.convert(amount(entry), source, target);
    assertEquals(isExact.equals("yes"), converted.exact());
    assertEquals(0, converted.amount().compareTo(new BigDecimal(exact)));
    assertEquals(
        new BigDecimal(halfUp), converted.amount().setScale(decimals, RoundingMode.HALF_UP));
    assertEquals(
        new BigDecimal(halfEven), converted.amount().setScale(decimals, RoundingMode.HALF_EVEN));
  }

  private static BigDecimal amount(Entry entry) {
    return ((Entry.Understood) entry).quantity().amount();
  }

  @Test
  void inchToMillimetreAndBackGivesTheSameNumber() {
    Random random = new Random(7);
    for (int i = 0; i < 2000; i++) {
      BigDecimal inches = BigDecimal.valueOf(random.nextLong(1, 5_000_000), 5);
      BigDecimal back =
          Conversion.convert(
                  Conversion.convert(inches, Unit.INCH, Unit.MILLIMETRE).amount(),
                  Unit.MILLIMETRE,
                  Unit.INCH)
              .amount();
      assertEquals(0, inches.compareTo(back));
    }
  }

  @Test
  void zeroThreadsPerInchHaveNoPitch() {
    Optional<String> obstacle =
        Conversion.obstacle(BigDecimal.ZERO, Unit.THREADS_PER_INCH, Unit.MILLIMETRE);
    assertEquals("pitch / tpi must be > 0", obstacle.orElseThrow());
    assertFalse(
        Conversion.obstacle(BigDecimal.ONE, Unit.THREADS_PER_INCH, Unit.MILLIMETRE).isPresent());
  }

  @Test
  void entryKeepsWhatWasAuthored() {
    Quantity quantity =
        assertInstanceOf(Entry.Understood.class, EntryParser.parse("12,70", Unit.MILLIMETRE))
            .quantity();
    assertEquals("12.70", quantity.text());
    assertEquals(new BigDecimal("12.70"), quantity.amount());
  }
}
