package arborline.core.library;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SearchWordsTest {

  /** As the database compares. */
  private static boolean found(String typed, String code, String name) {
    String text = SearchWords.text(SearchWords.of(code, name));
    return SearchWords.beginnings(typed).stream().allMatch(part -> text.contains(" " + part));
  }

  @ParameterizedTest
  @CsvSource({
    "em08,        EM-0800R05, Ball",
    "EM-08,       EM-0800R05, Ball",
    "0800,        EM0800R05,  Ball",
    "r05,         EM0800R05,  Ball",
    "05,          EM0800R05,  Ball",
    "end-mill,    X,          End mill flat",
    "mill,        X,          End-mill",
    "endmill,     X,          End-mill",
    "fras,        X,          Fräser 8",
    "FRÄS,        X,          fraser 8",
    "'8,5',       X,          Drill 8.5 mm",
    "8.5,         D8.5-120,   Drill",
    "120,         D8.5-120,   Drill",
    "d8.5-120,    D8.5-120,   Drill",
    "球刀,         X,          8毫米球刀",
    "ø8,          X,          Mill Ø8",
    "50%,         X,          Mill 50% cobalt",
  })
  void aWordIsFoundByTheBeginningOfItAndOfWhatItIsMadeOf(String typed, String code, String name) {
    assertTrue(found(typed, code, name));
  }

  @ParameterizedTest
  @CsvSource({
    "ill,   X,          End mill",
    "800,   EM0800R05,  Ball",
    "5,     X,          Drill 8.5 mm",
    "em09,  EM-0800R05, Ball",
  })
  void anythingInTheMiddleOfAWordIsNot(String typed, String code, String name) {
    assertFalse(found(typed, code, name));
  }

  @Test
  void signsAloneAreNoWord() {
    assertEquals(List.of(), SearchWords.beginnings("\\"));
    assertEquals(Set.of(), SearchWords.of("", "- / \""));
  }

  @Test
  void whatIsLongIsCutAndStaysWithinItsColumn() {
    String wide = "𝛼".repeat(40);
    String text = SearchWords.text(SearchWords.of("A1".repeat(30), (wide + " ").repeat(40)));
    assertTrue(text.length() <= SearchWords.LONGEST_TEXT);
    SearchWords.of(wide, "x".repeat(200))
        .forEach(word -> assertTrue(word.length() <= SearchWords.LONGEST_WORD));
    assertTrue(found("x".repeat(60), wide, "x".repeat(200)));
  }
}
