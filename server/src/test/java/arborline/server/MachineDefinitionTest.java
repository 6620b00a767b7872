package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.stream.IntStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Machines are set up, changed, copied, carried as files and retired. */
class MachineDefinitionTest extends ServerTest {

  private static final String MACHINES = "/api/v1/machines";

  private String id;
  private long tool;

  @BeforeEach
  void aMachineWithAPlannedTool() {
    String unique = Long.toString(System.nanoTime(), 36).toUpperCase();
    id = "D" + unique.substring(unique.length() - 8);
    long library = library("Definition " + id);
    tool =
        lead.post(
                "/api/v1/libraries/%d/tools".formatted(library), Draft.mill("MD-" + library, "10"))
            .number("toolId");
    Api.Answer made = create(definition(48));
    assertEquals(201, made.status(), made.toString());
    assertEquals(200, put("40").status());
  }

  private Api.Answer put(String place) {
    return lead.send(
        "PUT", "%s/%s/plan/%s".formatted(MACHINES, id, place), Api.body("toolId", tool));
  }

  /** As the Heron is, under another id and with so many pockets. */
  private ObjectNode definition(int pockets) {
    ObjectNode machine = (ObjectNode) lead.get(MACHINES + "/M1").at("machine").deepCopy();
    machine.put("id", id).put("name", id + " Copy");
    ((ObjectNode) machine.at("/storages/0")).put("places", pockets);
    return machine;
  }

  private Api.Answer create(JsonNode machine) {
    return lead.post(MACHINES, Api.body("machine", machine));
  }

  private Api.Answer change(JsonNode base, JsonNode wanted, boolean letFall) {
    return lead.send(
        "PUT",
        "%s/%s/definition".formatted(MACHINES, id),
        Api.body("base", base, "wanted", wanted, "letFall", letFall));
  }

  private List<String> planned() {
    return lead.get(MACHINES + "/" + id)
        .at("plan")
        .valueStream()
        .map(place -> place.get("place").asString())
        .toList();
  }

  private void undo(Api.Answer done) {
    assertEquals(
        204, lead.post("/api/v1/trail/%d/undo".formatted(done.number("undo")), null).status());
  }

  @Test
  void anIdThatIsTakenIsSaidBeforeAnythingIsSetUp() {
    Api.Answer looked = lead.post(MACHINES + "?preview=true", Api.body("machine", definition(48)));
    assertEquals(409, looked.status());
    assertTrue(looked.text("detail").startsWith("there is a machine " + id), looked.toString());
  }

  @Test
  void theMachinesOfTheShopStandThere() {
    List<String> all =
        lead.get(MACHINES)
            .at("items")
            .valueStream()
            .map(machine ->
                machine.get("name").asString() + ": " + machine.get("storages").asString())
            .toList();
    for (String expected :
        List.of(
            "M1 Heron: chain of 48 pockets",
            "M2 Plover: carousel of 24 pockets",
            "M3 Gannet: chain of 60 pockets",
            "L1 Cormorant: turret of 16 stations",
            "X1 Kittiwake: chain of 36 pockets, turret of 14 stations",
            "R1 Pelican: rack of 10 positions, 2 aggregates")) {
      assertTrue(all.contains(expected), all.toString());
    }
    for (String one : List.of("M1", "M2", "M3", "L1", "X1", "R1")) {
      JsonNode view = lead.get(MACHINES + "/" + one).body();
      view.get("storages")
          .forEach(storage ->
              assertEquals(storage.get("places").size(), storage.at("/layout/spots").size(), one));
    }
  }

  @Test
  void toolsStayInPlacesThatAreCalledOtherwise() {
    JsonNode base = definition(48);
    ObjectNode wanted = definition(48);
    ((ObjectNode) wanted.at("/storages/0")).put("prefix", "A").put("first", 2);
    Api.Answer renamed = change(base, wanted, false);
    assertEquals(200, renamed.status(), renamed.toString());
    assertEquals(0, renamed.at("fallsOut").size());
    assertEquals(List.of("A41"), planned());
    undo(renamed);
    assertEquals(List.of("40"), planned());
    assertEquals(200, change(base, wanted, false).status());
    ObjectNode fewer = wanted.deepCopy();
    ((ObjectNode) fewer.at("/storages/0")).put("prefix", "").put("first", 1).put("places", 24);
    assertEquals(409, change(wanted, fewer, false).status());
    assertEquals(List.of("A41"), planned(), "nothing half done");
  }

  @Test
  void whatFallsOutOfASmallerStorageIsListedFirst() {
    JsonNode base = definition(48);
    JsonNode wanted = definition(24);
    Api.Answer looked =
        lead.send(
            "PUT",
            "%s/%s/definition?preview=true".formatted(MACHINES, id),
            Api.body("base", base, "wanted", wanted));
    assertEquals("40", looked.at("fallsOut").get(0).get("place").asString());
    assertTrue(looked.at("undo").isNull());
    Api.Answer refused = change(base, wanted, false);
    assertEquals(409, refused.status());
    assertTrue(refused.text("detail").startsWith("1 tool would leave the load plan"));
    assertEquals(List.of("40"), planned());
    Api.Answer done = change(base, wanted, true);
    assertEquals(200, done.status(), done.toString());
    assertEquals(List.of(), planned());
    undo(done);
    assertEquals(List.of("40"), planned());
    assertEquals(48, lead.get(MACHINES + "/" + id).at("machine").at("/storages/0/places").asInt());
  }

  @Test
  void whatTwoPeopleChangeIsJoinedByField() {
    JsonNode base = definition(48);
    ObjectNode mine = definition(60);
    ObjectNode theirs = definition(48);
    ((ObjectNode) theirs.at("/spindles/0")).put("rpm", 15000);
    assertEquals(200, change(base, theirs, false).status());
    assertEquals(200, change(base, mine, false).status());
    JsonNode now = lead.get(MACHINES + "/" + id).at("machine");
    assertEquals(60, now.at("/storages/0/places").asInt());
    assertEquals(15000, now.at("/spindles/0/rpm").asInt());
    Api.Answer clash = change(base, definition(50), false);
    assertEquals(409, clash.status());
    assertTrue(clash.text("detail").contains("storages[C].places"), clash.text("detail"));
  }

  @Test
  void aMachineIsCopiedWithItsPlan() {
    ObjectNode copy = definition(30);
    copy.put("id", id + "2");
    Api.Answer made = lead.post(MACHINES, Api.body("machine", copy, "planOf", id));
    assertEquals(201, made.status(), made.toString());
    assertEquals(0, lead.get(MACHINES + "/" + id + "2").at("plan").size(), "no pocket 40 there");
    ObjectNode large = definition(48);
    large.put("id", id + "3");
    assertEquals(201, lead.post(MACHINES, Api.body("machine", large, "planOf", id)).status());
    assertEquals(1, lead.get(MACHINES + "/" + id + "3").at("plan").size());
    assertEquals(409, create(definition(48)).status(), "the id is taken");
  }

  @Test
  void aDefinitionGoesOutAsAFileAndComesInAgain() {
    JsonNode file = lead.get("%s/%s/definition".formatted(MACHINES, id)).body();
    assertEquals("arbor-line-machine", file.get("format").asString());
    ((ObjectNode) file.get("machine")).put("id", id + "F");
    Api.Answer brought = lead.post(MACHINES + "/import", Api.JSON.convertValue(file, Map.class));
    assertEquals(201, brought.status(), brought.toString());
    JsonNode again = lead.get("%s/%sF/definition".formatted(MACHINES, id)).body();
    assertEquals(file, again);
    for (Object wrong : List.of(Api.body(), Api.body("format", "x"), Api.body("format", null))) {
      assertEquals(400, lead.post(MACHINES + "/import", wrong).status());
    }
  }

  @Test
  void faultsAreNamedAllAtOnce() {
    ObjectNode wrong = definition(0);
    wrong.put("id", id + "W").put("name", "");
    Api.Answer refused = create(wrong);
    assertEquals(400, refused.status());
    assertEquals("name: 1 to 60 characters; storages[0].places: 1 to 400", refused.text("detail"));
    ((ArrayNode) wrong.get("storages")).removeAll().addNull();
    assertEquals(400, create(wrong).status());
    assertEquals(400, lead.post(MACHINES, Api.body("machine", null)).status());
  }

  @Test
  void aDialectThatNobodySpeaksIsRefused() {
    ObjectNode machine = definition(12);
    machine.put("id", id + "D");
    ((ObjectNode) machine.get("habits")).put("dialect", "morse").put("unit", "mm");
    Api.Answer refused = create(machine);
    assertEquals(400, refused.status());
    assertEquals(
        "habits.dialect: there is no 'morse'; name assets-g10 or fixed-registers or lathe-offsets or"
            + " revised-json or saved-files or tool-nodes, or leave it empty",
        refused.text("detail"));
    ((ObjectNode) machine.get("habits")).put("dialect", "").put("unit", "furlong");
    assertEquals("habits.unit: state mm or in", create(machine).text("detail"));
  }

  @Test
  void aRetiredMachineIsNotThereUntilItIsTakenBack() {
    Api.Answer retired = lead.send("DELETE", MACHINES + "/" + id, null);
    assertEquals(200, retired.status());
    assertEquals(404, lead.get(MACHINES + "/" + id).status());
    assertEquals(404, put("3").status());
    undo(retired);
    assertEquals(List.of("40"), planned());
  }

  @Test
  void withoutAControlItsTableIsNotRead() {
    Api.Answer table = lead.get("%s/%s/reconciliation?fresh=true".formatted(MACHINES, id));
    assertEquals(409, table.status(), table.toString());
    assertTrue(table.text("detail").startsWith("no control is linked to " + id));
  }

  @Test
  void ofTwentyWhoSetUpOneIdOneDoes() {
    ObjectNode machine = definition(12);
    machine.put("id", id + "T");
    List<Integer> statuses =
        IntStream.range(0, 20)
            .mapToObj(i -> CompletableFuture.supplyAsync(() -> create(machine).status()))
            .toList()
            .stream()
            .map(CompletableFuture::join)
            .sorted()
            .toList();
    assertEquals(1, statuses.stream().filter(status -> status == 201).count());
    assertEquals(19, statuses.stream().filter(status -> status == 409).count());
  }

  @Test
  void onlyWhoMayEditChangesMachines() {
    for (String role : List.of("TOOLROOM", "OPERATOR", "VISITOR")) {
      Api other = as(role);
      assertEquals(403, other.post(MACHINES, Api.body("machine", definition(4))).status());
      assertEquals(403, other.send("DELETE", MACHINES + "/" + id, null).status());
      assertEquals(
          403,
          other
              .send(
                  "PUT",
                  "%s/%s/definition".formatted(MACHINES, id),
                  Api.body("base", definition(4), "wanted", definition(4)))
              .status());
      assertEquals(200, other.get("%s/%s/definition".formatted(MACHINES, id)).status());
    }
  }

  @Test
  void theWaysInWhichControlsSpeakAreOffered() {
    Api.Answer dialects = lead.get("/api/v1/machines/dialects");
    assertEquals(200, dialects.status());
    assertEquals(6, dialects.at("items").size());
    assertEquals("assets-g10", dialects.at("items").get(0).get("id").asString());
    assertEquals(
        "MTConnect assets, G10 files", dialects.at("items").get(0).get("title").asString());
  }
}
