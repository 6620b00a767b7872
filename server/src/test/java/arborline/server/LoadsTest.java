package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Loads of machines are planned with the fewest moves and taken as they were found. */
class LoadsTest extends ServerTest {

  private String machine;
  private long library;
  private final List<Long> mills = new ArrayList<>();

  @BeforeEach
  void aRackOfFiveAndSomeTools() {
    String unique = Long.toString(System.nanoTime(), 36).toUpperCase();
    machine = "W" + unique.substring(unique.length() - 8);
    ObjectNode definition = (ObjectNode) lead.get("/api/v1/machines/M1").at("machine").deepCopy();
    definition.put("id", machine).put("name", "Loads " + machine);
    ObjectNode storage = (ObjectNode) definition.at("/storages/0");
    storage.put("form", "RACK").put("places", 5).put("closed", false);
    assertEquals(201, lead.post("/api/v1/machines", Api.body("machine", definition)).status());
    library = library("Loads " + machine);
    for (int i = 0; i < 4; i++) {
      mills.add(
          lead.post(
                  "/api/v1/libraries/%d/tools".formatted(library),
                  Draft.mill("LD%d-%d".formatted(i, library), "10"))
              .number("toolId"));
    }
  }

  private String path(String rest) {
    return "/api/v1/machines/" + machine + rest;
  }

  private void put(int place, long tool) {
    assertEquals(200, lead.send("PUT", path("/plan/" + place), Api.body("toolId", tool)).status());
  }

  private Api.Answer plan(List<Long> wanted, List<Long> keep) {
    List<Object> tools = new ArrayList<>();
    wanted.forEach(tool -> tools.add(Api.body("toolId", tool, "libraryId", library)));
    return lead.post(path("/load/plan"), Api.body("wanted", tools, "keep", keep));
  }

  private Api.Answer take(Api.Answer planned) {
    return lead.send(
        "PUT",
        path("/load"),
        Api.body("placement", planned.at("placement"), "stamp", planned.text("stamp")));
  }

  private Map<String, Long> standing() {
    Map<String, Long> standing = new TreeMap<>();
    lead.get(path(""))
        .at("plan")
        .forEach(
            place -> standing.put(place.get("place").asString(), place.get("toolId").asLong()));
    return standing;
  }

  private long wide() {
    return lead.post(
            "/api/v1/libraries/%d/tools".formatted(library),
            Draft.of(
                "LDW-" + library,
                "Wide",
                "face-mill",
                "DC=125 DCX=125 KAPR=90 APMX=10 DCONMS=40 CICT=8 LF=63"))
        .number("toolId");
  }

  @Test
  void aWideToolIsPutInWithTheFewestMovesAndTakenBack() {
    put(1, mills.get(0));
    put(3, mills.get(1));
    long wide = wide();
    Api.Answer planned = plan(List.of(wide, mills.get(0), mills.get(1)), List.of());
    assertEquals(200, planned.status(), planned.toString());
    assertTrue(planned.at("feasible").asBoolean());
    assertEquals(1, planned.at("moves").size(), planned.toString());
    assertTrue(planned.at("optimal").asBoolean());
    assertEquals("from outside, to position 5", planned.at("moves").get(0).get("words").asString());
    Api.Answer taken = take(planned);
    assertEquals(200, taken.status(), taken.toString());
    assertEquals(Map.of("1", mills.get(0), "3", mills.get(1), "5", wide), standing());
    assertEquals(
        204, lead.post("/api/v1/trail/%d/undo".formatted(taken.number("undo")), null).status());
    assertEquals(Map.of("1", mills.get(0), "3", mills.get(1)), standing());
  }

  @Test
  void measuresTravelWithTheirTool() {
    put(1, mills.get(0));
    put(2, mills.get(1));
    put(4, mills.get(2));
    assertEquals(
        200,
        lead.send("PUT", path("/plan/2"), Api.body("toolId", mills.get(1), "length", "120.5"))
            .status());
    long wide = wide();
    Api.Answer planned =
        plan(List.of(wide, mills.get(0), mills.get(1), mills.get(2)), List.of(mills.get(0)));
    assertEquals(2, planned.at("moves").size(), planned.toString());
    assertEquals(200, take(planned).status());
    JsonNode moved =
        lead.get(path(""))
            .at("plan")
            .valueStream()
            .filter(place -> place.get("toolId").asLong() == mills.get(1))
            .findFirst()
            .orElseThrow();
    assertEquals("120.5", moved.get("length").asString());
  }

  @Test
  void whatCannotBeIsSaidAndTheRestIsPlanned() {
    long one = wide();
    put(1, mills.get(0));
    put(2, mills.get(1));
    put(4, mills.get(2));
    put(5, mills.get(3));
    Api.Answer planned = plan(List.of(one), mills);
    assertEquals(200, planned.status());
    assertEquals("false", planned.at("feasible").asString());
    assertEquals("no-room-for-oversize", planned.at("obstacles").get(0).get("reason").asString());
    assertEquals("LDW-" + library, planned.at("leftOut").get(0).asString());
    assertEquals(4, planned.at("placement").size());
  }

  @Test
  void aLoadThatWasPlannedFromAnotherStateIsRefused() {
    Api.Answer planned = plan(List.of(mills.get(0)), List.of());
    put(5, mills.get(3));
    Api.Answer refused = take(planned);
    assertEquals(409, refused.status());
    assertTrue(refused.text("detail").startsWith("the load was changed meanwhile"));
    assertEquals(Map.of("5", mills.get(3)), standing());
  }

  @Test
  void whatNobodyPlannedIsCheckedBeforeItIsTaken() {
    String stamp = plan(List.of(mills.get(0)), List.of()).text("stamp");
    long wide = wide();
    Map<String, List<Object>> wrong = new TreeMap<>();
    wrong.put(
        "a tool cannot be put in twice",
        List.of(
            Api.body("place", "1", "toolId", mills.get(0)),
            Api.body("place", "2", "toolId", mills.get(0))));
    wrong.put(
        "placement: 1 is named twice",
        List.of(
            Api.body("place", "1", "toolId", mills.get(0)),
            Api.body("place", "1", "toolId", mills.get(1))));
    wrong.put("has no place '9'", List.of(Api.body("place", "9", "toolId", mills.get(0))));
    wrong.put(
        "does not fit",
        List.of(
            Api.body("place", "1", "toolId", mills.get(0)),
            Api.body("place", "2", "toolId", wide)));
    wrong.put("each names a place and a tool", List.of(Api.body("place", "1")));
    wrong.put("there is no tool", List.of(Api.body("place", "1", "toolId", 999_999_999)));
    wrong.forEach((said, placement) -> {
      Api.Answer refused =
          lead.send("PUT", path("/load"), Api.body("placement", placement, "stamp", stamp));
      assertTrue(refused.status() >= 400 && refused.status() < 500, refused.toString());
      assertTrue(refused.text("detail").contains(said), refused.text("detail"));
    });
    assertEquals(Map.of(), standing());
    assertEquals(400, lead.send("PUT", path("/load"), Api.body()).status());
    assertEquals(400, plan(List.of(), List.of()).status());
  }

  @Test
  void numberAndPlaceAreOneWhereTheMachineHasItSo() {
    ObjectNode base = (ObjectNode) lead.get(path("")).at("machine");
    ObjectNode wanted = base.deepCopy();
    ((ObjectNode) wanted.get("numbering")).put("scheme", "NUMBER_IS_PLACE");
    assertEquals(
        200,
        lead.send("PUT", path("/definition"), Api.body("base", base, "wanted", wanted)).status());
    put(4, mills.get(0));
    assertEquals("4", lead.get(path("")).at("plan").get(0).get("number").asString());
    put(2, mills.get(0));
    assertEquals("2", lead.get(path("")).at("plan").get(0).get("number").asString());
  }

  @Test
  void aPlaceThatIsKeptHoldsItsToolOnlyAndThatStandsNowhereElse() {
    put(2, mills.get(0));
    Api.Answer kept = lead.send("PUT", path("/plan/2/kept"), Api.body("kept", true));
    assertEquals(200, kept.status(), kept.toString());
    Api.Answer taken = lead.send("PUT", path("/plan/2"), Api.body("toolId", mills.get(1)));
    assertEquals(409, taken.status());
    assertTrue(taken.text("detail").endsWith("position 2 is kept for another tool"));
    Api.Answer elsewhere = lead.send("PUT", path("/plan/4"), Api.body("toolId", mills.get(0)));
    assertEquals(409, elsewhere.status());
    assertTrue(elsewhere.text("detail").contains("position 2 is kept for it"));
    assertEquals(200, lead.send("DELETE", path("/plan/2"), null).status());
    Api.Answer planned = plan(List.of(mills.get(0), mills.get(1)), List.of());
    assertTrue(planned.at("feasible").asBoolean(), planned.toString());
    JsonNode own =
        planned
            .at("placement")
            .valueStream()
            .filter(place -> place.get("toolId").asLong() == mills.get(0))
            .findFirst()
            .orElseThrow();
    assertEquals("2", own.get("place").asString());
    assertEquals(200, lead.send("PUT", path("/plan/2/kept"), Api.body("kept", false)).status());
    assertEquals(409, lead.send("PUT", path("/plan/2/kept"), Api.body("kept", true)).status());
    assertEquals(404, lead.send("PUT", path("/plan/77/kept"), Api.body("kept", true)).status());
  }

  @Test
  void onlyWhoLoadsPlansLoads() {
    Api operator = as("OPERATOR");
    assertEquals(403, operator.post(path("/load/plan"), Api.body("wanted", List.of())).status());
    assertEquals(403, operator.send("PUT", path("/load"), Api.body()).status());
    assertEquals(403, operator.send("DELETE", path("/load/plan"), null).status());
    assertEquals(204, lead.send("DELETE", path("/load/plan"), null).status());
  }
}
