package arborline.core.library;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.Set;
import org.junit.jupiter.api.Test;

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
}
