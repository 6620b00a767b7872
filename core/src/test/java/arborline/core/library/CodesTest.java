package arborline.core.library;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class CodesTest {

  @Test
  void letterCaseAndOuterBlanksDoNotMakeAnotherCode() {
    assertEquals(Codes.key("em-10"), Codes.key("  EM-10 "));
  }

  @Test
  void aFreeCodeStaysAndATakenOneGetsTheFirstFreeEnding() {
    Set<String> used = Set.of("EM-10", "EM-10-2", "EM-10-3");
    assertEquals("EM-11", Codes.nextFree("EM-11", used::contains));
    assertEquals("em-10-4", Codes.nextFree("em-10", used::contains));
  }

  @Test
  void composedAndDecomposedAccentsAreOneCode() {
    assertEquals(Codes.key("FR\u00c4S-1"), Codes.key("FRA\u0308S-1"));
  }

  @ParameterizedTest
  @ValueSource(strings = {"-", "-A1", "A1-", "A 1", "A\u00001", "A\u200b1", "A\u202e1", "A\t1"})
  void whatCannotBeSeenOrReadsAsAMinusIsNoCode(String text) {
    assertTrue(Codes.fault(text).isPresent());
  }

  @ParameterizedTest
  @ValueSource(strings = {"EM-10", "FR\u00c4S-1", "D10.5/H7", "\u5200\u51771"})
  void visibleSignsOfAnyScriptMakeACode(String text) {
    assertEquals(Optional.empty(), Codes.fault(text));
  }

  @Test
  void theFaultNamesSignAndPlaceAndTheMendedCodeLacksIt() {
    assertEquals(
        "code has a character that cannot be seen (U+200B) at position 2",
        Codes.fault("A\u200b1").orElseThrow());
    assertEquals("A1-B", Codes.mended(" -A\u200b1 B- "));
  }
}
