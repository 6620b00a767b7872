package arborline.core.inspect;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;

import arborline.core.exchange.Cell;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class ClassChangeTest {

  private static final Cell TEN = Cell.of("10");
  private static final Cell USUAL = new Cell("4", Optional.empty(), true);

  @Test
  void whatTheClassDoesNotAskForIsPutAside() {
    ClassChange drill =
        ClassChange.to("drill-twist", Map.of("DC", TEN, "RE", Cell.of("0.5")), Map.of());
    assertEquals(TEN, drill.values().get("DC"));
    assertEquals(Map.of("RE", Cell.of("0.5")), drill.aside());
    assertFalse(drill.values().containsKey("RE"));
  }

  @Test
  void itComesBackWithAClassThatDoes() {
    ClassChange mill =
        ClassChange.to("end-mill-corner-radius", Map.of("DC", TEN), Map.of("RE", Cell.of("0.5")));
    assertEquals("0.5", mill.values().get("RE").text());
    assertEquals(Map.of(), mill.aside());
  }

  @Test
  void whatWasTypedSinceStandsBeforeWhatWasPutAside() {
    ClassChange mill =
        ClassChange.to(
            "end-mill-corner-radius", Map.of("RE", Cell.of("1")), Map.of("RE", Cell.of("0.5")));
    assertEquals("1", mill.values().get("RE").text());
  }

  @Test
  void defaultsComeInWhereNothingStandsAndGoWithTheirClass() {
    ClassChange drill = ClassChange.to("drill-twist", Map.of("DC", TEN), Map.of());
    Cell point = drill.values().get("SIG");
    assertEquals("118", point.text());
    assertEquals(true, point.defaulted());
    ClassChange typed = ClassChange.to("drill-twist", Map.of("SIG", Cell.of("140")), Map.of());
    assertEquals("140", typed.values().get("SIG").text());
    ClassChange mill = ClassChange.to("end-mill-flat", drill.values(), Map.of());
    assertFalse(mill.values().containsKey("SIG"));
    assertEquals(Map.of(), mill.aside());
  }

  @Test
  void aClassThatIsNotKnownPutsNothingAside() {
    ClassChange unknown =
        ClassChange.to("no-such", Map.of("DC", TEN, "NOF", USUAL), Map.of("RE", TEN));
    assertEquals(Map.of("DC", TEN, "NOF", USUAL, "RE", TEN), unknown.values());
    assertEquals(Map.of(), unknown.aside());
  }
}
