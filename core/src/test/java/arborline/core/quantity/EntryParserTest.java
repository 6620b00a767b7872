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
        "½ in|0.5|in",
        "1½ in|1.5|in",
        "2¾\"|2.75|in",
        "2 ft|2|ft",
        "1 m|1|m",
        "5 cm|5|cm",
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
        "1 5/4 in",
        "12 tpi",
        "1234567890",
        "1.1234567890123456",
        "1/1234567890",
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

  @Test
  void improperFractionBehindAWholeNumberAsksWhichIsMeant() {
    Entry.Refused refused = (Entry.Refused) EntryParser.parse("1 5/4 in", Unit.MILLIMETRE);
    assertEquals("1 5/4: is it 1 and 5/4, or 15/4?", refused.reason());
  }

  @ParameterizedTest
  @CsvSource({"2 ft,609.6", "1 m,1000", "5 cm,50", "½ in,12.7"})
  void otherLengthsAreMillimetresInTheEnd(String text, BigDecimal millimetres) {
    Quantity quantity = ((Entry.Understood) EntryParser.parse(text, Unit.MILLIMETRE)).quantity();
    assertEquals(0, millimetres.compareTo(quantity.in(Unit.MILLIMETRE)));
  }
}
