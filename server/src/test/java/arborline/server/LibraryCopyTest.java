package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Tools copied and moved between libraries, libraries merged, versions held. */
class LibraryCopyTest extends ServerTest {

  private Shelves shelves;

  @BeforeEach
  void shelves() {
    shelves = new Shelves(lead);
  }

  private Api.Answer copy(long into, Object... order) {
    return lead.post("/api/v1/libraries/%d/copy".formatted(into), Api.body(order));
  }

  @Test
  void numbersAreKeptAndWhatClashesIsSaidBefore() {
    long from = shelves.library("Copy: from");
    long into = shelves.library("Copy: into");
    List<Long> tools = shelves.mills(from, "LCK-1", "LCK-2");
    shelves.mills(into, "LCK-OTHER");
    Api.Answer preview =
        lead.post(
            "/api/v1/libraries/%d/copy?preview=true".formatted(into),
            Api.body("tools", tools, "from", from, "numbering", "keep"));
    assertEquals(2, preview.number("entering"), preview.toString());
    assertEquals(1, preview.number("renumbered"));
    assertTrue(
        preview.toString().contains("number 1 belongs to LCK-OTHER; 3 instead"),
        preview.toString());
    assertEquals(Map.of("LCK-OTHER", 1), shelves.numbers(into));
    Api.Answer copied = copy(into, "tools", tools, "from", from, "numbering", "keep");
    assertEquals(2, copied.number("entering"));
    assertEquals(Map.of("LCK-OTHER", 1, "LCK-1", 3, "LCK-2", 2), shelves.numbers(into));
    assertEquals(2, shelves.numbers(from).size());
    shelves.undo(copied);
    assertEquals(Map.of("LCK-OTHER", 1), shelves.numbers(into));
  }

  @Test
  void aMillAndATurningToolShareANumber() {
    long mills = shelves.library("Copy: mills");
    long lathe = shelves.library("Copy: lathe");
    long mill = shelves.mills(mills, "LCS-MILL").getFirst();
    long turning = shelves.turning(lathe, "LCS-TURN");
    long both = shelves.library("Copy: both");
    copy(both, "tools", List.of(mill), "from", mills);
    Api.Answer copied = copy(both, "tools", List.of(turning), "from", lathe);
    assertEquals(0, copied.number("renumbered"), copied.toString());
    assertEquals(Map.of("LCS-MILL", 1, "LCS-TURN", 1), shelves.numbers(both));
  }

  @Test
  void numbersByPositionFollowTheOrderOfTheBasket() {
    long first = shelves.library("Copy: basket 1");
    long second = shelves.library("Copy: basket 2");
    List<Long> ones = shelves.mills(first, "LCB-A", "LCB-B");
    List<Long> twos = shelves.mills(second, "LCB-C");
    long into = shelves.library("Copy: basket into");
    Api.Answer copied =
        copy(
            into,
            "picks",
            List.of(
                Map.of("from", second, "tools", twos),
                Map.of("from", first, "tools", List.of(ones.get(1), ones.get(0)))),
            "numbering",
            "position",
            "section",
            "Job 7");
    assertEquals(3, copied.number("entering"), copied.toString());
    assertEquals(Map.of("LCB-C", 1, "LCB-B", 2, "LCB-A", 3), shelves.numbers(into));
    assertEquals("Job 7", shelves.sections(into).get("LCB-A"));
  }

  @Test
  void whatTheLibraryIsNotForStaysOut() {
    long from = shelves.library("Copy: mixed");
    long mill = shelves.mills(from, "LCP-MILL").getFirst();
    long turning = shelves.turning(from, "LCP-TURN");
    long lathe = shelves.library("Copy: only turning", "processes", List.of("turning"));
    Api.Answer copied = copy(lathe, "tools", List.of(mill, turning), "from", from);
    assertEquals(1, copied.number("entering"), copied.toString());
    assertEquals(1, copied.number("refused"));
    assertEquals("LCP-MILL", copied.body().at("/told/0/code").asString());
    assertEquals(List.of("LCP-TURN"), List.copyOf(shelves.numbers(lathe).keySet()));
  }

  @Test
  void whatMovesLeavesWhereItWasAndComesBack() {
    long from = shelves.library("Copy: moving");
    long into = shelves.library("Copy: moved");
    List<Long> tools = shelves.mills(from, "LCM-1", "LCM-2");
    Api.Answer moved =
        copy(into, "tools", List.of(tools.get(1)), "from", from, "numbering", "next", "move", true);
    assertEquals(Map.of("LCM-1", 1), shelves.numbers(from));
    assertEquals(Map.of("LCM-2", 1), shelves.numbers(into));
    shelves.undo(moved);
    assertEquals(Map.of("LCM-1", 1, "LCM-2", 2), shelves.numbers(from));
    assertEquals(Map.of(), shelves.numbers(into));
  }

  @Test
  void aMoveIsNotTakenBackOverANumberThatIsUsedAgain() {
    long from = shelves.library("Copy: used again");
    long into = shelves.library("Copy: used again into");
    List<Long> tools = shelves.mills(from, "LCU-1");
    Api.Answer moved = copy(into, "tools", tools, "from", from, "move", true);
    shelves.mills(from, "LCU-2");
    Api.Answer undone =
        lead.post("/api/v1/trail/%d/undo".formatted(moved.number("undo")), Map.of());
    assertEquals(409, undone.status());
    assertTrue(undone.text("detail").contains("LCU-1 or its number"), undone.toString());
    assertEquals(Map.of("LCU-1", 1), shelves.numbers(into));
  }

  @Test
  void manyToolsAreTakenOutAtOnceAndComeBack() {
    long library = shelves.library("Copy: taken out");
    List<Long> tools = shelves.mills(library, "LCO-1", "LCO-2", "LCO-3");
    Api.Answer out =
        lead.post(
            "/api/v1/libraries/%d/tools/out".formatted(library),
            Api.body("tools", tools.subList(0, 2)));
    assertEquals(Map.of("LCO-3", 3), shelves.numbers(library));
    shelves.undo(out);
    assertEquals(Map.of("LCO-1", 1, "LCO-2", 2, "LCO-3", 3), shelves.numbers(library));
  }

  @Test
  void copyingTwiceAddsNothing() {
    long from = shelves.library("Copy: twice");
    long into = shelves.library("Copy: twice into");
    List<Long> tools = shelves.mills(from, "LCT-1");
    copy(into, "tools", tools, "from", from);
    Api.Answer again = copy(into, "tools", tools, "from", from);
    assertEquals(0, again.number("entering"));
    assertEquals(1, again.number("here"));
    assertEquals(0, again.number("undo"));
  }

  @Test
  void librariesAreMergedAndTakenApartAgain() {
    long into = shelves.library("Merge: into");
    long one = shelves.library("Merge: one");
    long two = shelves.library("Merge: two");
    shelves.mills(into, "LMG-1");
    List<Long> tools = shelves.mills(one, "LMG-2", "LMG-3");
    copy(two, "tools", tools, "from", one);
    Api.Answer merged =
        lead.post(
            "/api/v1/libraries/%d/merge".formatted(into), Api.body("from", List.of(one, two)));
    assertEquals(2, merged.number("entering"), merged.toString());
    assertEquals(2, merged.number("here"));
    assertEquals(404, lead.get("/api/v1/libraries/" + two).status());
    assertEquals(Map.of("LMG-1", 1, "LMG-2", 3, "LMG-3", 2), shelves.numbers(into));
    shelves.undo(merged);
    assertEquals(Map.of("LMG-1", 1), shelves.numbers(into));
    assertEquals(Map.of("LMG-2", 1, "LMG-3", 2), shelves.numbers(two));
  }

  @Test
  void aLibraryIsCopiedWithItsSectionsNumbersAndVersions() {
    long original = shelves.library("Duplicate: original", "purpose", "Templates");
    List<Long> tools = shelves.mills(original, "LDU-1", "LDU-2");
    long section =
        lead.post("/api/v1/libraries/%d/sections".formatted(original), Api.body("name", "Long"))
            .number("id");
    lead.post(
        "/api/v1/libraries/%d/sections/%d/tools".formatted(original, section),
        Api.body("tools", List.of(tools.get(1))));
    versions(original, "tools", List.of(tools.get(0)), "follow", false);
    lead.send(
        "PUT", "/api/v1/tools/%d?version=1".formatted(tools.get(0)), Draft.mill("LDU-1", "14"));
    Api.Answer copied =
        lead.post(
            "/api/v1/libraries/%d/duplicate".formatted(original),
            Api.body("name", "Duplicate: copy"));
    assertEquals(201, copied.status(), copied.toString());
    long copy = copied.body().at("/library/id").asLong();
    assertEquals("Templates", copied.body().at("/library/settings/purpose").asString());
    assertEquals(Map.of("LDU-1", 1, "LDU-2", 2), shelves.numbers(copy));
    assertEquals(Map.of("LDU-1", "", "LDU-2", "Long"), shelves.sections(copy));
    assertEquals("10", diameter(copy));
    shelves.undo(copied);
    assertEquals(404, lead.get("/api/v1/libraries/" + copy).status());
    assertEquals(Map.of("LDU-1", 1, "LDU-2", 2), shelves.numbers(original));
  }

  @Test
  void aLibraryIsNotMergedIntoItself() {
    long library = shelves.library("Merge: itself");
    for (List<Long> from : Arrays.asList(List.of(library), List.<Long>of())) {
      Api.Answer refused =
          lead.post("/api/v1/libraries/%d/merge".formatted(library), Api.body("from", from));
      assertEquals(400, refused.status());
    }
  }

  @Test
  void aPinnedToolStaysAtItsVersionAndFollowsWhenItIsLetGo() {
    long library = shelves.library("Versions: pinned");
    long follower = shelves.library("Versions: following");
    long tool = shelves.mills(library, "LVP-1").getFirst();
    copy(follower, "tools", List.of(tool), "from", library);
    versions(library, "tools", List.of(tool), "follow", false);
    lead.send("PUT", "/api/v1/tools/%d?version=1".formatted(tool), Draft.mill("LVP-1", "11"));
    assertEquals("10", diameter(library));
    assertEquals("11", diameter(follower));
    assertEquals(
        "{\"version\":1,\"newest\":2}",
        shelves.rows(library, "").getFirst().get("pinned").toString());
    Api.Answer follows = versions(library, "tools", List.of(tool), "follow", true);
    assertEquals("11", diameter(library));
    assertTrue(shelves.rows(library, "").getFirst().get("pinned").isNull());
    shelves.undo(follows);
    assertEquals("10", diameter(library));
    Api.Answer pinned = versions(library, "tools", List.of(tool), "version", 2);
    assertEquals("11", diameter(library));
    shelves.undo(pinned);
    assertEquals("10", diameter(library));
    assertEquals(404, versions(library, "tools", List.of(tool), "version", 9).status());
  }

  @Test
  void twoVersionsAreComparedAndTheSheetSaysWhereOneStays() {
    long library = shelves.library("Versions: compared", "follows", false);
    long tool = shelves.mills(library, "LVC-1").getFirst();
    lead.send("PUT", "/api/v1/tools/%d?version=1".formatted(tool), Draft.mill("LVC-1", "11"));
    Api.Answer compared = lead.get("/api/v1/tools/%d/versions/compare?from=1&to=2".formatted(tool));
    assertEquals(
        "[{\"field\":\"DC\",\"here\":\"10 mm\",\"there\":\"11 mm\"}]",
        compared.at("differences").toString());
    assertEquals(
        404, lead.get("/api/v1/tools/%d/versions/compare?from=1&to=7".formatted(tool)).status());
    JsonNode sheet = lead.get("/api/v1/tools/" + tool).body();
    assertTrue(sheet.at("/usedIn/0/pinned").asBoolean());
    assertEquals(sheet.at("/history/1/id").asLong(), sheet.at("/usedIn/0/versionId").asLong());
  }

  @Test
  void whatEntersALibraryThatPinsStaysAsItEntered() {
    long from = shelves.library("Versions: source");
    long pinning = shelves.library("Versions: pinning", "follows", false);
    long tool = shelves.mills(from, "LVE-1").getFirst();
    copy(pinning, "tools", List.of(tool), "from", from);
    lead.send("PUT", "/api/v1/tools/%d?version=1".formatted(tool), Draft.mill("LVE-1", "11"));
    assertEquals("10", diameter(pinning));
  }

  private Api.Answer versions(long library, Object... order) {
    return lead.send("PUT", "/api/v1/libraries/%d/versions".formatted(library), Api.body(order));
  }

  private String diameter(long library) {
    return shelves.rows(library, "").getFirst().at("/values/DC/text").asString();
  }

  @Test
  void thePageOfLibrariesSaysWhatStandsInThemAndWhatIsBehind() {
    long library = shelves.library("Overview: one");
    long tool = shelves.mills(library, "LOV-1", "LOV-2").getFirst();
    versions(library, "tools", List.of(tool), "follow", false);
    lead.send("PUT", "/api/v1/tools/%d?version=1".formatted(tool), Draft.mill("LOV-1", "11"));
    JsonNode row = overview(library);
    assertEquals(2, row.get("tools").asLong());
    assertEquals("end-mill-flat", row.at("/classes/0/id").asString());
    assertEquals(1, row.get("behind").asLong());
    shelves.mills(library, "LOV-3");
    assertEquals(3, overview(library).get("tools").asLong());
  }

  private JsonNode overview(long library) {
    for (JsonNode row : lead.get("/api/v1/libraries/overview").at("items")) {
      if (row.get("id").asLong() == library) {
        return row;
      }
    }
    throw new AssertionError("the library is not on the page");
  }

  @Test
  void theWholeShopIsOneListWithTheLibrariesNamed() {
    long one = shelves.library("Shop list: one");
    long two = shelves.library("Shop list: two");
    List<Long> tools = shelves.mills(one, "LSHOP-1");
    copy(two, "tools", tools, "from", one);
    Api.Answer found = lead.get("/api/v1/tools?q=LSHOP");
    assertEquals(2, found.at("items").size());
    assertEquals("Shop list: one", found.body().at("/items/0/library").asString());
    assertEquals("Shop list: two", found.body().at("/items/1/library").asString());
    assertEquals(2, lead.get("/api/v1/tools/facets?q=LSHOP").number("total"));
  }

  @AfterEach
  void whatBelongsToToolsStandsBesideThem() {
    entriesSayWhatBelongsToTheirTools();
  }
}
