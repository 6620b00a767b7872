package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** What a library was after each thing that was done to it, and back to that. */
class LibraryHistoryTest extends ServerTest {

  private Shelves shelves;

  @BeforeEach
  void shelves() {
    shelves = new Shelves(lead);
  }

  @AfterEach
  void entriesFollow() {
    entriesSayWhatBelongsToTheirTools();
  }

  private String path(long library) {
    return "/api/v1/libraries/%d/history".formatted(library);
  }

  private List<String> texts(long library) {
    List<String> texts = new ArrayList<>();
    lead.get(path(library)).at("items").forEach(line -> texts.add(line.get("text").asString()));
    return texts;
  }

  /** The line with a text, of several the newest. */
  private long lineOf(long library, String text) {
    for (JsonNode line : lead.get(path(library)).at("items")) {
      if (line.get("text").asString().contains(text)) {
        return line.get("id").asLong();
      }
    }
    throw new AssertionError("no line says " + text + ": " + texts(library));
  }

  private Api.Answer compare(long library, String from, String to) {
    return lead.get(
        path(library)
            + "/compare?from="
            + lineOf(library, from)
            + (to.isEmpty() ? "" : "&to=" + lineOf(library, to)));
  }

  private Api.Answer back(long library, String text) {
    return lead.post(path(library) + "/back", Api.body("line", lineOf(library, text)));
  }

  private List<String> changes(Api.Answer compared) {
    List<String> changes = new ArrayList<>();
    compared
        .at("tools")
        .forEach(one ->
            changes.add(
                "%s %s %s"
                    .formatted(
                        one.get("became").asString(),
                        one.get("code").asString(),
                        one.at("/changes/0").asString())));
    return changes;
  }

  @Test
  void whatWasDoneStandsNewestFirstWithoutWhatWasTakenBack() {
    long library = shelves.library("History: lines");
    shelves.mills(library, "LHA-1");
    Api.Answer renamed =
        lead.send("PATCH", "/api/v1/libraries/" + library, Api.body("name", "History: renamed"));
    assertEquals(
        List.of(
            "renamed library History: lines to History: renamed",
            "created LHA-1 in History: lines",
            "opened library History: lines"),
        texts(library));
    shelves.undo(renamed);
    assertEquals(
        List.of("created LHA-1 in History: lines", "opened library History: lines"),
        texts(library));
  }

  @Test
  void anyTwoStatesAreCompared() {
    long library = shelves.library("History: states");
    List<Long> tools = shelves.mills(library, "LHB-1", "LHB-2", "LHB-3");
    lead.send("DELETE", "/api/v1/libraries/%d/tools/%d".formatted(library, tools.get(0)), Map.of());
    lead.send(
        "PUT",
        "/api/v1/libraries/%d/versions".formatted(library),
        Api.body("tools", List.of(tools.get(1)), "follow", false));
    Api.Answer sinceOpened = compare(library, "opened", "");
    assertEquals(
        List.of("ADDED LHB-2 number 2", "ADDED LHB-3 number 3"),
        changes(sinceOpened),
        sinceOpened.toString());
    Api.Answer sinceAll = compare(library, "created LHB-3", "");
    assertEquals(
        List.of("REMOVED LHB-1 number 1", "CHANGED LHB-2 the newest version became version 1"),
        changes(sinceAll),
        sinceAll.toString());
    Api.Answer between = compare(library, "created LHB-1", "created LHB-2");
    assertEquals(List.of("ADDED LHB-2 number 2"), changes(between), between.toString());
    assertEquals(1, between.number("added"));
    assertEquals(0, between.number("removed"));
  }

  @Test
  void comparingChangesNothing() {
    long library = shelves.library("History: looking");
    shelves.mills(library, "LHC-1", "LHC-2");
    List<String> before = texts(library);
    compare(library, "opened", "");
    assertEquals(Map.of("LHC-1", 1, "LHC-2", 2), shelves.numbers(library));
    assertEquals(before, texts(library));
  }

  @Test
  void settingsAreComparedToo() {
    long library = shelves.library("History: settings");
    lead.send("PATCH", "/api/v1/libraries/" + library, Api.body("purpose", "Steel"));
    assertTrue(compare(library, "opened", "").text("settings").contains("changed what library"));
  }

  @Test
  void whatWasMovedAwayStandsInBothHistories() {
    long from = shelves.library("History: from");
    long into = shelves.library("History: into");
    List<Long> tools = shelves.mills(from, "LHM-1", "LHM-2");
    Api.Answer moved =
        lead.post(
            "/api/v1/libraries/%d/copy".formatted(into),
            Api.body("tools", List.of(tools.get(0)), "from", from, "move", true));
    assertEquals(200, moved.status(), moved.toString());
    assertEquals(List.of("REMOVED LHM-1 number 1"), changes(compare(from, "created LHM-2", "")));
    assertEquals(List.of("ADDED LHM-1 number 1"), changes(compare(into, "opened", "")));
  }

  @Test
  void aLibraryGoesBackToWhatItWas() {
    long library = shelves.library("History: back");
    List<Long> tools = shelves.mills(library, "LHD-1", "LHD-2");
    lead.send("DELETE", "/api/v1/libraries/%d/tools/%d".formatted(library, tools.get(0)), Map.of());
    shelves.mills(library, "LHD-3");
    lead.send("PATCH", "/api/v1/libraries/" + library, Api.body("purpose", "Something else"));
    Api.Answer back = back(library, "created LHD-2");
    assertEquals(200, back.status(), back.toString());
    assertEquals(3, back.number("takenBack"));
    assertEquals(Map.of("LHD-1", 1, "LHD-2", 2), shelves.numbers(library));
    assertEquals(
        "", lead.get("/api/v1/libraries/" + library).body().at("/settings/purpose").asString());
    assertTrue(texts(library).getFirst().contains("created LHD-2"), texts(library).toString());
  }

  @Test
  void whereOneThingCannotBeTakenBackNothingIs() {
    long library = shelves.library("History: refused");
    List<Long> tools = shelves.mills(library, "LHE-1", "LHE-2");
    lead.send("DELETE", "/api/v1/libraries/%d/tools/%d".formatted(library, tools.get(0)), Map.of());
    long other = shelves.library("History: refused, in the way");
    lead.send("PATCH", "/api/v1/libraries/" + library, Api.body("name", "History: moved on"));
    lead.send("PATCH", "/api/v1/libraries/" + other, Api.body("name", "History: refused"));
    Api.Answer refused = back(library, "created LHE-2");
    assertEquals(409, refused.status(), refused.toString());
    assertTrue(refused.text("detail").contains("renamed library"), refused.toString());
    assertTrue(refused.text("detail").contains("there is a library"), refused.toString());
    assertEquals(Map.of("LHE-2", 2), shelves.numbers(library));
  }

  @Test
  void aLineThatIsNoneOfTheLibraryIsRefused() {
    long library = shelves.library("History: other");
    assertEquals(404, lead.get(path(library) + "/compare?from=999999999").status());
    assertEquals(404, lead.get(path(999_999_999)).status());
    assertEquals(400, lead.post(path(library) + "/back", Map.of()).status());
    Api.Answer newest = back(library, "opened");
    assertEquals(409, newest.status());
  }

  @Test
  void statesAreComparedInTheirOrder() {
    long library = shelves.library("History: order");
    shelves.mills(library, "LHF-1");
    assertEquals(400, compare(library, "created LHF-1", "opened").status());
  }

  @Test
  void whoMayNotChangeLibrariesReadsTheLinesOnly() {
    long library = shelves.library("History: rights");
    Api visitor = as("VISITOR");
    assertEquals(200, visitor.get(path(library)).status());
    long opened = lineOf(library, "opened");
    assertEquals(403, visitor.get(path(library) + "/compare?from=" + opened).status());
    assertEquals(403, visitor.post(path(library) + "/back", Api.body("line", opened)).status());
  }

  @Test
  void whatCameWithADeliveryIsPartOfTheHistory() {
    long library = shelves.library("History: delivery");
    long delivery =
        lead.deliver(
            "history.csv", "CODE,CLASS,DC,APMX,DMM,OAL,NOF\nLHG-1,end-mill-flat,8,20,8,60,4\n");
    lead.post(
        "/api/v1/deliveries/%d/accept".formatted(delivery),
        Api.body("library", library, "numbering", "keep"));
    assertEquals(List.of("ADDED LHG-1 number 1"), changes(compare(library, "opened", "")));
    assertEquals(200, back(library, "opened").status());
    assertEquals(Map.of(), shelves.numbers(library));
  }

  @Test
  void toolsThatWereMergedAreTheirOwnAgainInAFormerState() {
    long library = shelves.library("History: merged");
    List<Long> tools = shelves.mills(library, "LHH-1", "LHH-2");
    Api.Answer merged =
        lead.post(
            "/api/v1/duplicates/merge",
            Api.body("keep", tools.get(0), "others", List.of(tools.get(1))));
    assertEquals(200, merged.status(), merged.toString());
    assertEquals(List.of("REMOVED LHH-2 number 2"), changes(compare(library, "created LHH-2", "")));
  }
}
