package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** How far tools are trusted: moved, listed by it, taken back. */
class ToolStandingTest extends ServerTest {

  private Shelves shelves;

  @BeforeEach
  void shelves() {
    shelves = new Shelves(lead);
  }

  @AfterEach
  void entriesFollow() {
    entriesSayWhatBelongsToTheirTools();
  }

  private Api.Answer move(List<Long> tools, String standing) {
    return lead.post("/api/v1/tools/standing", Api.body("tools", tools, "standing", standing));
  }

  private List<String> listed(long library, String query) {
    return shelves.rows(library, query).stream()
        .map(row -> row.get("code").asString() + " " + row.get("standing").asString())
        .toList();
  }

  private String trusted(long tool) {
    return lead.get("/api/v1/tools/" + tool).body().at("/trusted/standing").asString();
  }

  @Test
  void whatSomebodyMakesIsADraftUntilItIsMoved() {
    long library = shelves.library("Standing: moved");
    long tool = shelves.mills(library, "STI-1").getFirst();
    assertEquals("DRAFT", trusted(tool));
    Api.Answer moved = move(List.of(tool), "RELEASED");
    assertEquals(1, moved.number("changed"), moved.toString());
    assertEquals(0, moved.number("same"));
    assertEquals("RELEASED", trusted(tool));
    assertEquals(List.of("STI-1 RELEASED"), listed(library, ""));
    assertTrue(lead.get("/api/v1/tools/" + tool).body().at("/trusted/by").asString().length() > 0);
  }

  @Test
  void whatArrivesAndIsTakenIsChecked() {
    long library = shelves.library("Standing: taken");
    long delivery =
        lead.deliver(
            "standing.csv", "CODE,CLASS,DC,APMX,DMM,OAL,NOF\nSTT-1,end-mill-flat,8,20,8,60,4\n");
    Api.Answer taken =
        lead.post(
            "/api/v1/deliveries/%d/accept".formatted(delivery),
            Api.body("library", library, "numbering", "keep"));
    assertEquals(200, taken.status(), taken.toString());
    assertEquals(List.of("STT-1 CHECKED"), listed(library, ""));
  }

  @Test
  void aListIsSortedAndGroupedFromDraftToRetired() {
    long library = shelves.library("Standing: listed");
    List<Long> tools = shelves.mills(library, "STL-1", "STL-2", "STL-3", "STL-4");
    move(List.of(tools.get(0)), "RETIRED");
    move(List.of(tools.get(1)), "CHECKED");
    move(List.of(tools.get(3)), "RELEASED");
    List<String> inOrder =
        List.of("STL-3 DRAFT", "STL-2 CHECKED", "STL-4 RELEASED", "STL-1 RETIRED");
    assertEquals(inOrder, listed(library, "&sort=standing"));
    assertEquals(inOrder.reversed(), listed(library, "&sort=standing&down=true"));
    assertEquals(inOrder, listed(library, "&group=standing&sort=name"));
    assertEquals(
        List.of("DRAFT", "CHECKED", "RELEASED", "RETIRED"),
        shelves.rows(library, "&group=standing").stream()
            .map(row -> row.get("group").asString())
            .toList());
  }

  @Test
  void pagesOfAGroupedListFollowOneAnother() {
    long library = shelves.library("Standing: pages");
    List<Long> tools = shelves.mills(library, "STP-1", "STP-2", "STP-3");
    move(List.of(tools.get(0)), "RELEASED");
    String path =
        "/api/v1/libraries/%d/tools?group=standing&sort=standing&limit=2".formatted(library);
    Api.Answer first = lead.get(path);
    Api.Answer second = lead.get(path + "&after=" + first.text("next"));
    assertEquals("STP-3", first.body().at("/items/1/code").asString());
    assertEquals("STP-1", second.body().at("/items/0/code").asString());
    assertEquals(1, second.body().get("items").size());
  }

  @Test
  void draftsOfALibraryWaitOnThePageOfAll() {
    long library = shelves.library("Standing: waiting");
    List<Long> tools = shelves.mills(library, "STW-1", "STW-2", "STW-3");
    move(List.of(tools.get(0)), "CHECKED");
    for (var row : lead.get("/api/v1/libraries/overview").body().get("items")) {
      if (row.get("id").asLong() == library) {
        assertEquals(2, row.get("drafts").asInt());
        return;
      }
    }
    throw new AssertionError("the library is not on the page of all");
  }

  @Test
  void aMoveOfManyIsTakenBackToWhatEachHad() {
    long library = shelves.library("Standing: undo");
    List<Long> tools = shelves.mills(library, "STU-1", "STU-2", "STU-3");
    move(List.of(tools.get(0)), "CHECKED");
    Api.Answer done = move(tools, "RELEASED");
    assertEquals(3, done.number("changed"));
    shelves.undo(done);
    assertEquals(
        List.of("STU-1 CHECKED", "STU-2 DRAFT", "STU-3 DRAFT"), listed(library, "&sort=code"));
  }

  @Test
  void whatWasMovedOnSinceIsNotTakenBack() {
    long library = shelves.library("Standing: since");
    List<Long> tools = shelves.mills(library, "STS-1", "STS-2");
    Api.Answer done = move(tools, "RELEASED");
    move(List.of(tools.get(1)), "RETIRED");
    Api.Answer refused =
        lead.post("/api/v1/trail/%d/undo".formatted(done.number("undo")), Map.of());
    assertEquals(409, refused.status());
    assertTrue(refused.text("detail").contains("STS-2 is retired by now"), refused.toString());
    assertEquals("RELEASED", trusted(tools.get(0)));
  }

  @Test
  void whatIsSoAlreadyLeavesNoTrace() {
    long library = shelves.library("Standing: same");
    List<Long> tools = shelves.mills(library, "STN-1");
    Api.Answer same = move(tools, "DRAFT");
    assertEquals(0, same.number("changed"));
    assertEquals(1, same.number("same"));
    assertEquals(0, same.number("undo"));
  }

  @Test
  void ofToolsOfWhichOneIsUnknownNoneIsMoved() {
    long library = shelves.library("Standing: unknown");
    long tool = shelves.mills(library, "STK-1").getFirst();
    Api.Answer refused = move(List.of(tool, 999_999_999L), "RELEASED");
    assertEquals(404, refused.status());
    assertTrue(refused.text("detail").contains("999999999"));
    assertEquals("DRAFT", trusted(tool));
  }

  @Test
  void aWrongOrderIsRefusedInWords() {
    assertEquals(400, move(List.of(1L), "LENT").status());
    assertEquals(
        400,
        lead.post("/api/v1/tools/standing", Api.body("tools", List.of(1), "standing", 3)).status());
    Api.Answer without = lead.post("/api/v1/tools/standing", Api.body("tools", List.of(1)));
    assertEquals(400, without.status());
    assertTrue(without.text("detail").contains("DRAFT, CHECKED, RELEASED or RETIRED"));
    assertEquals(400, move(List.of(), "DRAFT").status());
    assertEquals(400, move(Collections.singletonList(null), "DRAFT").status());
  }

  @Test
  void onlyWhoMayEditMovesTools() {
    long library = shelves.library("Standing: rights");
    long tool = shelves.mills(library, "STR-1").getFirst();
    Api.Answer refused =
        as("VISITOR")
            .post(
                "/api/v1/tools/standing", Api.body("tools", List.of(tool), "standing", "RELEASED"));
    assertEquals(403, refused.status());
  }

  @Test
  void anotherLibraryThatTakesTheToolSaysTheSame() {
    long library = shelves.library("Standing: first");
    long other = shelves.library("Standing: other");
    long tool = shelves.mills(library, "STO-1").getFirst();
    move(List.of(tool), "RELEASED");
    lead.post(
        "/api/v1/libraries/%d/copy".formatted(other),
        Api.body("tools", List.of(tool), "from", library, "numbering", "next"));
    assertEquals(List.of("STO-1 RELEASED"), listed(other, ""));
  }

  @Test
  void twentyWhoMoveTheSameToolsAtOnceAllSeeOneEnd() throws Exception {
    long library = shelves.library("Standing: twenty");
    List<Long> tools = shelves.mills(library, "STM-1", "STM-2", "STM-3");
    String[] wanted = {"CHECKED", "RELEASED", "RETIRED", "DRAFT"};
    try (ExecutorService people = Executors.newFixedThreadPool(20)) {
      List<Callable<Integer>> all =
          java.util.stream.IntStream.range(0, 20)
              .mapToObj(i -> (Callable<Integer>) () -> move(tools, wanted[i % 4]).status())
              .toList();
      for (Future<Integer> one : people.invokeAll(all)) {
        assertEquals(200, one.get());
      }
    }
    assertEquals(
        1,
        listed(library, "").stream().map(row -> row.split(" ")[1]).distinct().count(),
        Arrays.toString(listed(library, "").toArray()));
  }
}
