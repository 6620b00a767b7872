package arborline.core.quantity;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertInstanceOf;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.math.BigDecimal;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class EntryParserTest {

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      quoteCharacter = '~',
      value = {
        "12,7|12.7|mm",
        "12.7|12.7|mm",
        "1/2\"|0.5|in",
        "1 1/4\"|1.25|in",
        "1-1/4 in|1.25|in",
        ".5in|0.5|in",
        "Ø12|12|mm",
        "12 mm|12|mm",
        "-0,25|-0.25|mm",
        "3 thou|3|thou",
        "1,2500|1.2500|mm",
        "0,125|0.125|mm"
      })
  void readsNumbersAsPeopleWriteThem(String text, BigDecimal amount, String unit) {
    Quantity quantity =
        assertInstanceOf(Entry.Understood.class, EntryParser.parse(text, Unit.MILLIMETRE))
            .quantity();
    assertEquals(0, amount.compareTo(quantity.amount()));
    assertEquals(unit, quantity.unit().code());
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "",
        "abc",
        "1.2.3",
        "1,250",
        "NaN",
        "1/2/3",
        "1/0",
        "1e3",
        "- 3",
        "12 kg",
        "12 foo",
        "1/3",
        "1,2,3",
        "1.000,5",
        "--1",
        "/",
        "Ø",
        "12 13",
        "9999999999999999999999999999999999999999999"
      })
  void refusesWithReasonAndRemedy(String text) {
    Entry.Refused refused =
        assertInstanceOf(Entry.Refused.class, EntryParser.parse(text, Unit.MILLIMETRE));
    assertTrue(!refused.reason().isBlank() && !refused.remedy().isBlank());
  }

  @Test
  void ambiguousCommaOffersBothReadings() {
    Entry.Refused refused = (Entry.Refused) EntryParser.parse("1,250", Unit.MILLIMETRE);
    assertEquals("write 1.250 or 1250", refused.remedy());
  }
}
