package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** One change to many tools: looked at first, done, taken back. */
class BulkEditTest extends ServerTest {

  private Shelves shelves;

  @BeforeEach
  void shelves() {
    shelves = new Shelves(lead);
  }

  private Api.Answer bulk(boolean preview, Object... order) {
    return lead.post("/api/v1/tools/bulk?preview=" + preview, Api.body(order));
  }

  private String value(long tool, String symbol) {
    JsonNode sheet = lead.get("/api/v1/tools/%d".formatted(tool)).body();
    return sheet.at("/answer/values/%s/text".formatted(symbol)).asString();
  }

  @Test
  void aFormulaIsSeenBeforeItIsAppliedAndTakenBack() {
    long library = shelves.library("Bulk: formula");
    List<Long> tools = shelves.mills(library, "BLF-1", "BLF-2");
    Api.Answer seen =
        bulk(true, "tools", tools, "kind", "FORMULA", "symbol", "LU", "text", "APMX + 2");
    assertEquals(2, seen.number("changed"), seen.toString());
    assertEquals("22 mm", seen.body().at("/edited/0/after").asString());
    assertEquals(0, seen.number("undo"));
    Api.Answer done =
        bulk(
            false,
            "tools",
            tools,
            "kind",
            "FORMULA",
            "symbol",
            "LU",
            "text",
            "APMX + 2",
            "expected",
            2);
    assertEquals(200, done.status(), done.toString());
    assertEquals("22", value(tools.get(0), "LU"));
    assertEquals("22", shelves.rows(library, "").getFirst().at("/values/LU/text").asString());
    shelves.undo(done);
    assertEquals("", value(tools.get(0), "LU"));
    assertEquals(3, lead.get("/api/v1/tools/" + tools.get(0)).number("version"));
  }

  @Test
  void whatCannotBeWorkedOutIsSaidAndTheRestIsDone() {
    long library = shelves.library("Bulk: partly");
    long good = shelves.mills(library, "BLP-1").getFirst();
    long even =
        lead.post("/api/v1/libraries/%d/tools".formatted(library), Draft.mill("BLP-2", "12"))
            .number("toolId");
    Api.Answer done =
        bulk(
            false,
            "tools",
            List.of(good, even),
            "kind",
            "FORMULA",
            "symbol",
            "LU",
            "text",
            "DC * DC / (DMM - DC)");
    assertEquals(1, done.number("changed"), done.toString());
    assertEquals(1, done.number("refused"));
    assertEquals("BLP-2", done.body().at("/left/0/code").asString());
    assertTrue(done.body().at("/left/0/why").asString().contains("divides by zero"));
    assertEquals("50", value(good, "LU"));
  }

  @Test
  void whatTheRulesHoldIsNotWritten() {
    long library = shelves.library("Bulk: held");
    List<Long> tools = shelves.mills(library, "BLH-1");
    Api.Answer seen = bulk(true, "tools", tools, "kind", "VALUE", "symbol", "APMX", "text", "500");
    assertEquals(1, seen.number("refused"), seen.toString());
    assertTrue(seen.body().at("/left/0/why").asString().contains("500"));
  }

  @Test
  void wordsInNamesAreReplaced() {
    long library = shelves.library("Bulk: names");
    List<Long> tools = shelves.mills(library, "BLN-1", "BLN-2");
    bulk(false, "tools", tools, "kind", "REPLACE", "text", "mill", "with", "Cutter");
    assertEquals("Cutter", shelves.rows(library, "").getFirst().get("name").asString());
  }

  @Test
  void whatChangedSinceItWasLookedAtIsNotDone() {
    long library = shelves.library("Bulk: since");
    List<Long> tools = shelves.mills(library, "BLS-1", "BLS-2");
    bulk(false, "tools", List.of(tools.get(0)), "kind", "VALUE", "symbol", "NOF", "text", "3");
    Api.Answer refused =
        bulk(false, "tools", tools, "kind", "VALUE", "symbol", "NOF", "text", "3", "expected", 2);
    assertEquals(409, refused.status());
    assertTrue(refused.text("detail").contains("1 tool would change now, not 2"));
    assertEquals("4", value(tools.get(1), "NOF"));
  }

  @Test
  void aToolThatWasChangedSinceKeepsTheWholeChangeFromBeingTakenBack() {
    long library = shelves.library("Bulk: later");
    List<Long> tools = shelves.mills(library, "BLL-1", "BLL-2");
    Api.Answer done = bulk(false, "tools", tools, "kind", "VALUE", "symbol", "NOF", "text", "3");
    lead.send(
        "PUT", "/api/v1/tools/%d?version=2".formatted(tools.get(1)), Draft.mill("BLL-2", "11"));
    Api.Answer undone = lead.post("/api/v1/trail/%d/undo".formatted(done.number("undo")), Map.of());
    assertEquals(409, undone.status());
    assertTrue(undone.text("detail").contains("BLL-2 was changed again"), undone.toString());
    assertEquals("3", value(tools.get(0), "NOF"));
  }

  @Test
  void aPinnedEntryStaysAtItsVersion() {
    long library = shelves.library("Bulk: pinned", "follows", false);
    List<Long> tools = shelves.mills(library, "BLI-1");
    bulk(false, "tools", tools, "kind", "VALUE", "symbol", "NOF", "text", "3");
    assertEquals("4", shelves.rows(library, "").getFirst().at("/values/NOF/text").asString());
    assertEquals("3", value(tools.get(0), "NOF"));
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "{}",
        "{\"tools\": []}",
        "{\"tools\": [null], \"kind\": \"VALUE\"}",
        "{\"tools\": [1], \"kind\": \"VALUE\", \"symbol\": \"NONSENSE\", \"text\": \"1\"}",
        "{\"tools\": [1], \"kind\": \"VALUE\", \"symbol\": null, \"text\": \"1\"}",
        "{\"tools\": [1], \"kind\": \"FORMULA\", \"symbol\": \"LU\", \"text\": \"APMX +\"}",
        "{\"tools\": [1], \"kind\": \"FORMULA\", \"symbol\": \"HAND\", \"text\": \"1\"}",
        "{\"tools\": [1], \"kind\": \"REPLACE\", \"text\": \"\"}",
        "{\"tools\": [1], \"kind\": \"VALUE\", \"symbol\": \"LU\", \"text\": \"1\", \"unit\": \"kg\"}",
        "{\"tools\": [1], \"kind\": \"VALUE\", \"symbol\": \"LU\", \"text\": \"1\", \"work\": \"a b\"}",
      })
  void whatCannotBeAskedIsRefusedInWords(String body) {
    Api.Answer refused = lead.post("/api/v1/tools/bulk", JsonMapper.shared().readTree(body));
    assertEquals(400, refused.status(), refused.toString());
    assertTrue(refused.text("detail").length() > 10, refused.toString());
  }

  @Test
  void allToolsOfAListAreNamedForIt() {
    long library = shelves.library("Bulk: ids");
    List<Long> tools = shelves.mills(library, "BLX-1", "BLX-2", "BLY-1");
    JsonNode found = lead.get("/api/v1/tools/ids?library=%d&q=BLX".formatted(library)).at("items");
    assertEquals(tools.subList(0, 2), List.of(found.get(0).asLong(), found.get(1).asLong()));
    assertEquals(2, found.size());
  }
}
