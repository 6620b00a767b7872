package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.json.JsonMapper;

/** What libraries are called and for, deleting and archiving them. */
class LibrarySettingsTest extends ServerTest {

  private Shelves shelves;

  @BeforeEach
  void shelves() {
    shelves = new Shelves(lead);
  }

  private Api.Answer change(long library, Object... settings) {
    return lead.send("PATCH", "/api/v1/libraries/" + library, Api.body(settings));
  }

  @Test
  void aLibrarySaysWhatItIsForAndThatCanBeTakenBack() {
    long library = shelves.library("Settings: one");
    Api.Answer changed =
        change(
            library,
            "purpose",
            "Titanium on the big mills",
            "processes",
            List.of("turning", "milling"),
            "labels",
            List.of(Map.of("kind", "MATERIAL", "label", "Titanium")),
            "ranges",
            List.of(Map.of("of", "hole-making", "first", 500, "last", 599)));
    assertEquals(200, changed.status(), changed.toString());
    Api.Answer now = lead.get("/api/v1/libraries/" + library);
    assertEquals("Titanium on the big mills", now.body().at("/settings/purpose").asString());
    assertEquals("[\"milling\",\"turning\"]", now.body().at("/settings/processes").toString());
    assertEquals("Titanium", now.body().at("/settings/labels/0/label").asString());
    assertEquals(500, now.body().at("/settings/ranges/0/first").asInt());
    shelves.undo(changed);
    Api.Answer then = lead.get("/api/v1/libraries/" + library);
    assertEquals("", then.body().at("/settings/purpose").asString());
    assertEquals(0, then.body().at("/settings/ranges").size());
  }

  @Test
  void nothingChangedLeavesNothingOnTheTrail() {
    long library = shelves.library("Settings: same");
    assertEquals(0, change(library, "name", "Settings: same").number("undo"));
  }

  @Test
  void aChangeThatWasChangedAgainIsNotTakenBackOverIt() {
    long library = shelves.library("Settings: twice");
    Api.Answer first = change(library, "purpose", "first");
    change(library, "purpose", "second");
    Api.Answer undone =
        lead.post("/api/v1/trail/%d/undo".formatted(first.number("undo")), Map.of());
    assertEquals(409, undone.status());
    assertTrue(undone.text("detail").contains("changed again since"), undone.toString());
  }

  @Test
  void twoLibrariesDoNotHaveOneName() {
    shelves.library("Settings: taken");
    long other = shelves.library("Settings: other");
    Api.Answer refused = change(other, "name", " SETTINGS: Taken ");
    assertEquals(409, refused.status());
    assertTrue(refused.text("detail").contains("'Settings: taken' already"), refused.toString());
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "{\"name\": \"\"}",
        "{\"name\": \"with\\u200bnothing\"}",
        "{\"processes\": [\"planing\"]}",
        "{\"processes\": [null]}",
        "{\"labels\": [{\"kind\": \"MACHINE\"}]}",
        "{\"labels\": [null]}",
        "{\"labels\": [{\"kind\": \"SHELF\", \"label\": \"x\"}]}",
        "{\"ranges\": [{\"of\": \"hole-making\", \"first\": 0, \"last\": 5}]}",
        "{\"ranges\": [{\"of\": \"hole-making\", \"first\": 9, \"last\": 5}]}",
        "{\"ranges\": [{\"of\": \"nonsense\", \"first\": 1, \"last\": 5}]}",
        "{\"ranges\": [{\"of\": \"tap\", \"first\": 1, \"last\": 99999999999}]}",
        "{\"ranges\": [null]}",
      })
  void whatCannotBeIsRefusedInWords(String body) {
    long library = shelves.library("Settings: refused " + body.hashCode());
    Api.Answer refused =
        lead.send("PATCH", "/api/v1/libraries/" + library, JsonMapper.shared().readTree(body));
    assertEquals(400, refused.status(), refused.toString());
    assertTrue(refused.text("detail").length() > 10, refused.toString());
  }

  @Test
  void aLibraryTakesOnlyToolsOfItsProcesses() {
    long library = shelves.library("Settings: lathe", "processes", List.of("turning"));
    Api.Answer refused =
        lead.post("/api/v1/libraries/%d/tools".formatted(library), Draft.mill("LST-MILL", "10"));
    assertEquals(409, refused.status());
    assertTrue(refused.text("detail").contains("the library is for turning"), refused.toString());
    assertEquals(Map.of(), shelves.numbers(library));
  }

  @Test
  void processesThatStandingToolsDoNotBelongToAreRefused() {
    long library = shelves.library("Settings: stands");
    shelves.mills(library, "LST-STANDS");
    Api.Answer refused = change(library, "processes", List.of("turning"));
    assertEquals(409, refused.status());
    assertTrue(refused.text("detail").contains("LST-STANDS stands in it"), refused.toString());
  }

  @Test
  void whatOfADeliveryALibraryIsNotForStaysInTheDelivery() {
    long library = shelves.library("Settings: receiving", "processes", List.of("turning"));
    long delivery = lead.deliver("mills.csv", table("LSTD", 2));
    Api.Answer taken =
        lead.post("/api/v1/deliveries/%d/accept".formatted(delivery), Api.body("library", library));
    assertEquals(200, taken.status(), taken.toString());
    assertEquals(0, taken.number("accepted"));
    assertEquals(2, taken.number("held"));
    assertEquals(2, taken.number("refused"));
    assertTrue(taken.text("refusal").contains("the library is for turning"), taken.toString());
  }

  @Test
  void newToolsTakeTheNumbersThatAreKeptForThem() {
    long library =
        shelves.library(
            "Settings: ranges",
            "ranges",
            List.of(Map.of("of", "end-mill-flat", "first", 40, "last", 41)));
    shelves.mills(library, "LSR-1", "LSR-2");
    assertEquals(Map.of("LSR-1", 40, "LSR-2", 41), shelves.numbers(library));
    Api.Answer full =
        lead.post("/api/v1/libraries/%d/tools".formatted(library), Draft.mill("LSR-3", "10"));
    assertEquals(409, full.status());
    assertTrue(full.text("detail").contains("widen its range"), full.toString());
  }

  @Test
  void anArchivedLibraryTakesNothing() {
    long library = shelves.library("Settings: archive");
    Api.Answer archived = change(library, "archived", true);
    Api.Answer refused =
        lead.post("/api/v1/libraries/%d/tools".formatted(library), Draft.mill("LSA-1", "10"));
    assertEquals(409, refused.status());
    assertTrue(refused.text("detail").contains("is archived"), refused.toString());
    shelves.undo(archived);
    shelves.mills(library, "LSA-1");
  }

  @Test
  void aDeletedLibraryComesBackWithAllThatStoodInIt() {
    long library = shelves.library("Settings: deleted");
    List<Long> tools = shelves.mills(library, "LSD-1", "LSD-2");
    long section =
        lead.post("/api/v1/libraries/%d/sections".formatted(library), Api.body("name", "Long"))
            .number("id");
    lead.post(
        "/api/v1/libraries/%d/sections/%d/tools".formatted(library, section),
        Api.body("tools", List.of(tools.getFirst())));
    Api.Answer deleted = lead.send("DELETE", "/api/v1/libraries/" + library, Map.of());
    assertEquals(404, lead.get("/api/v1/libraries/" + library).status());
    assertEquals(200, lead.get("/api/v1/tools/" + tools.getFirst()).status());
    lead.send(
        "PUT", "/api/v1/tools/%d?version=1".formatted(tools.getLast()), Draft.mill("LSD-2", "12"));
    shelves.undo(deleted);
    assertEquals(Map.of("LSD-1", 1, "LSD-2", 2), shelves.numbers(library));
    assertEquals(Map.of("LSD-1", "Long", "LSD-2", ""), shelves.sections(library));
    assertEquals(
        "12", shelves.rows(library, "&q=LSD-2").getFirst().at("/values/DC/text").asString());
  }

  @Test
  void theNameOfADeletedLibraryIsFree() {
    long library = shelves.library("Settings: free name");
    Api.Answer deleted = lead.send("DELETE", "/api/v1/libraries/" + library, Map.of());
    shelves.library("Settings: free name");
    Api.Answer undone =
        lead.post("/api/v1/trail/%d/undo".formatted(deleted.number("undo")), Map.of());
    assertEquals(409, undone.status());
    assertTrue(undone.text("detail").contains("rename that one first"), undone.toString());
  }
}
