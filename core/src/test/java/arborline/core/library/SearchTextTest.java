package arborline.core.library;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SearchTextTest {

  private static String shown(Optional<BigDecimal> bound) {
    return bound.map(limit -> limit.stripTrailingZeros().toPlainString()).orElse("");
  }

  @ParameterizedTest
  @CsvSource({
    "dia 6..12,    DC,   6,  12",
    "dia 9..3,     DC,   3,  9",
    "D=10,         DC,   10, 10",
    "flutes 3,     NOF,  3,  3",
    "reach>30,     LU,   30, ''",
    "reach >= 30,  LU,   30, ''",
    "depth<=8,     APMX, '', 8",
    "DIA 1/4 in,   DC,   6.35, 6.35",
    "radius 0.5 .. 1, RE, 0.5, 1",
    "shank 12mm,   DMM,  12, 12"
  })
  void conditionsNameAPropertyAndARange(String text, String symbol, String least, String most) {
    SearchText search = SearchText.parse(text);
    assertEquals(List.of(), search.words());
    SearchText.Condition only = search.conditions().getFirst();
    assertEquals(symbol, only.symbol());
    assertEquals(least, shown(only.least()));
    assertEquals(most, shown(only.most()));
  }

  @Test
  void wordsAndConditionsMix() {
    SearchText search = SearchText.parse("carbide dia 6..8 long flutes 2");
    assertEquals(List.of("carbide", "long"), search.words());
    assertEquals(
        List.of("DC", "NOF"),
        search.conditions().stream().map(SearchText.Condition::symbol).toList());
  }

  @ParameterizedTest
  @CsvSource({"diamond", "dia", "dia wide", "reach>soon", "MC-D 10"})
  void whatIsNoConditionIsSearchedAsWords(String text) {
    SearchText search = SearchText.parse(text);
    assertEquals(List.of(), search.conditions());
    assertEquals(List.of(text.split(" ")), search.words());
  }

  @Test
  void nothingTypedAsksNothing() {
    assertEquals(new SearchText(List.of(), List.of()), SearchText.parse("   "));
  }
}
