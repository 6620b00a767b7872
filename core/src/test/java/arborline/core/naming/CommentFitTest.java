package arborline.core.naming;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CommentFitTest {

  private static final String CAPITALS = "A-Z0-9 .+/-";

  @ParameterizedTest
  @CsvSource({
    "Flat end mill 10, FLAT END MILL 10",
    "Fräser Ø12, FRAESER D12",
    "Drill 118°, DRILL 118DEG",
    "Mill 1/2\", MILL 1/2IN",
    "é_à, E-A"
  })
  void writesOutWhatTheControlCannotShow(String text, String expected) {
    assertEquals(expected, CommentFit.fit(text, CAPITALS, 30).text());
  }

  @Test
  void keepsSmallLettersWhereTheControlKnowsThem() {
    assertEquals("Fraeser 12", CommentFit.fit("Fräser 12", "A-Za-z0-9 ", 30).text());
  }

  @Test
  void shortensTradeWordsOnlyAsFarAsNeeded() {
    assertEquals(
        "CORNER-R END MILL 12 R1",
        CommentFit.fit("Corner-radius end mill 12 R1", CAPITALS, 24).text());
    assertEquals(
        "CRN-R E ML 12 R1", CommentFit.fit("Corner-radius end mill 12 R1", CAPITALS, 16).text());
  }

  @Test
  void saysWhatWasGivenUp() {
    CommentFit.Fitted fitted = CommentFit.fit("Ölige Kühlung für das Bohren", CAPITALS, 10);
    assertEquals("OELIGE", fitted.text());
    assertEquals(6, fitted.length());
    assertTrue(fitted.changes().contains("'Ö' becomes 'OE'"));
    assertTrue(fitted.changes().getLast().startsWith("'KUEHLUNG"));
  }

  @Test
  void cutsInsideAWordOnlyWhereTooLittleWouldBeLeft() {
    assertEquals("CUTTER 8.5", CommentFit.fit("Cutter 8.5 coolant", CAPITALS, 14).text());
    assertEquals("A VERYLONG", CommentFit.fit("A verylongwordindeed", CAPITALS, 10).text());
  }

  @Test
  void aControlWithoutCommentsCarriesNothing() {
    CommentFit.Fitted fitted = CommentFit.fit("Mill", CAPITALS, 0);
    assertEquals("", fitted.text());
    assertEquals(List.of("this control keeps no comment"), fitted.changes());
  }

  @Test
  void nothingChangesWhereEverythingFits() {
    assertEquals(List.of(), CommentFit.fit("DRILL 8", CAPITALS, 24).changes());
  }
}
