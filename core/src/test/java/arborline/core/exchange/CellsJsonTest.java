package arborline.core.exchange;

import static org.junit.jupiter.api.Assertions.assertEquals;

import arborline.core.quantity.Unit;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;

class CellsJsonTest {

  @Test
  void cellsComeBackAsTheyWere() {
    TreeMap<String, Cell> cells = new TreeMap<>();
    cells.put("DC", new Cell("1/2", Optional.of(Unit.INCH), false));
    cells.put("NOF", new Cell("4", Optional.empty(), true));
    cells.put("CODE", Cell.of("Fräser \"A\""));
    String text = CellsJson.toText(cells);
    assertEquals(
        """
        {"CODE":{"text":"Fräser \\"A\\""},"DC":{"text":"1/2","unit":"in"},\
        "NOF":{"text":"4","defaulted":true}}\
        """,
        text);
    assertEquals(cells, CellsJson.fromText(text));
  }

  @Test
  void aCountHasNoUnit() {
    assertEquals(
        "{\"NOF\":{\"text\":\"4\"}}",
        CellsJson.toText(Map.of("NOF", new Cell("4", Optional.of(Unit.ONE), false))));
  }

  @Test
  void aPlainTextStandsForItselfAndNothingForNothing() {
    assertEquals(
        Map.of("CODE", Cell.of("A1"), "DC", Cell.of("10"), "RE", Cell.of("")),
        CellsJson.fromText(
            """
            {"CODE":"A1","DC":10,"NAME":null,"RE":{"text":null,"unit":null}}\
            """));
  }

  @Test
  void whatLaterVersionsAddIsPassedOver() {
    assertEquals(
        Map.of("DC", Cell.of("10")),
        CellsJson.fromText(
            """
            {"DC":{"since":{"year":[2031]},"text":"10"}}\
            """));
  }
}
