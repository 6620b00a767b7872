package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Several of one tool in a machine, numbers of planned tools, and their order. */
class SisterToolsTest extends ServerTest {

  private String machine;
  private long library;
  private long mill;
  private long drill;

  @BeforeEach
  void aRackThatKnowsSisters() {
    machine = machine("SISTER_GROUPS");
    library = library("Sisters " + machine);
    mill = tool("ST1-" + library, "10");
    drill = tool("ST2-" + library, "8");
  }

  private String machine(String scheme) {
    String unique = Long.toString(System.nanoTime(), 36).toUpperCase();
    String id = "Q" + unique.substring(unique.length() - 8);
    ObjectNode definition = (ObjectNode) lead.get("/api/v1/machines/M1").at("machine").deepCopy();
    definition.put("id", id).put("name", "Sisters " + id);
    ObjectNode storage = (ObjectNode) definition.at("/storages/0");
    storage.put("form", "RACK").put("places", 6).put("closed", false);
    ((ObjectNode) definition.at("/numbering")).put("scheme", scheme);
    assertEquals(201, lead.post("/api/v1/machines", Api.body("machine", definition)).status());
    return id;
  }

  private long tool(String code, String diameter) {
    return lead.post("/api/v1/libraries/%d/tools".formatted(library), Draft.mill(code, diameter))
        .number("toolId");
  }

  private String path(String rest) {
    return "/api/v1/machines/" + machine + rest;
  }

  private Api.Answer put(int place, long tool, Object... more) {
    Map<String, Object> order = Api.body(more);
    order.put("toolId", tool);
    return lead.send("PUT", path("/plan/" + place), order);
  }

  private Map<String, String> numbers() {
    Map<String, String> numbers = new TreeMap<>();
    for (JsonNode place : lead.get(path("")).at("plan")) {
      numbers.put(
          place.get("place").asString(),
          place.get("code").asString().substring(0, 3) + "=" + place.get("number").asString());
    }
    return numbers;
  }

  private Map<String, Long> standing() {
    Map<String, Long> standing = new TreeMap<>();
    lead.get(path(""))
        .at("plan")
        .forEach(
            place -> standing.put(place.get("place").asString(), place.get("toolId").asLong()));
    return standing;
  }

  @Test
  void anotherOfAToolIsItsSister() {
    assertEquals(200, put(1, mill, "length", "120").status());
    assertEquals(200, put(4, mill, "another", true).status());
    assertEquals(Map.of("1", mill, "4", mill), standing());
    assertEquals(Map.of("1", "ST1=1", "4", "ST1=1"), numbers());
    JsonNode plan = lead.get(path("")).at("plan");
    assertEquals("120", plan.get(0).get("length").asString());
    assertTrue(plan.get(1).path("length").isNull(), "each piece is measured by itself");
    Api.Answer which = put(6, mill);
    assertEquals(409, which.status());
    assertTrue(which.toString().contains("position 1 and position 4"), which.toString());
    Api.Answer moved = put(6, mill, "from", "4");
    assertEquals(200, moved.status(), moved.toString());
    assertEquals(Map.of("1", mill, "6", mill), standing());
    assertEquals(409, put(5, mill, "from", "4").status(), "it stands there no more");
    assertEquals(409, put(1, mill, "from", "6").status(), "its sister stands there");
    assertEquals(409, put(1, mill, "another", true).status());
    assertEquals(
        204, lead.post("/api/v1/trail/%d/undo".formatted(moved.number("undo")), null).status());
    assertEquals(Map.of("1", mill, "4", mill), standing());
    assertEquals(200, lead.send("DELETE", path("/plan/1"), null).status());
    assertEquals(Map.of("4", mill), standing());
  }

  @Test
  void whereNumbersTellToolsApartThereIsOneOfEach() {
    machine = machine("NUMBER_APART");
    assertEquals(200, put(1, mill).status());
    Api.Answer twice = put(2, mill, "another", true);
    assertEquals(409, twice.status());
    assertTrue(twice.toString().contains("has no sister tools"), twice.toString());
    assertEquals(200, put(2, mill).status());
    assertEquals(Map.of("2", mill), standing());
  }

  @Test
  void toolsAreNumberedAnewTogetherWithTheirSisters() {
    put(1, mill);
    put(2, drill);
    put(3, mill, "another", true);
    Api.Answer seen =
        lead.post(path("/numbers/look"), Api.body("places", List.of("2", "1"), "first", 40));
    assertEquals(40, seen.at("2").asInt());
    assertEquals(41, seen.at("1").asInt());
    assertEquals(41, seen.at("3").asInt());
    assertEquals("ST1=1", numbers().get("1"), "looking changes nothing");
    Api.Answer done = renumber(List.of("2", "1"), 40);
    assertEquals(200, done.status(), done.toString());
    assertEquals(Map.of("1", "ST1=41", "2", "ST2=40", "3", "ST1=41"), numbers());
    assertEquals(200, put(5, drill).status());
    assertEquals("ST2=40", numbers().get("5"), "a number stays when the tool is moved");
    Api.Answer taken = renumber(List.of("5"), 41);
    assertEquals(409, taken.status());
    assertTrue(taken.toString().contains("number 41 is used by ST1-"), taken.toString());
    assertEquals(409, renumber(List.of("4"), 7).status(), "nothing stands there");
    assertEquals(409, renumber(List.of("5"), 40).status(), "it has that number");
    assertEquals(400, renumber(List.of("5", "5"), 7).status());
    assertEquals(400, renumber(List.of(), 7).status());
    assertEquals(400, renumber(List.of("5"), 0).status());
    assertEquals(400, renumber(List.of("5"), 2_000_000_000).status());
    assertEquals(403, as("PROGRAMMER").send("PUT", path("/numbers"), Api.body()).status());
    machine = machine("NUMBER_IS_PLACE");
    put(2, drill);
    Api.Answer bound = renumber(List.of("2"), 9);
    assertEquals(409, bound.status());
    assertTrue(bound.toString().contains("move the tool"), bound.toString());
  }

  /** Each library, and each kind of work in it, begins with 1. */
  @Test
  void aNumberThatAnotherToolHasIsGivenAnewAndSaid() {
    machine = machine("NUMBER_APART");
    long first = library;
    library = library("More sisters " + machine);
    long other = tool("ST3-" + library, "6");
    put(1, mill);
    Api.Answer put = put(2, other);
    assertEquals(200, put.status(), put.toString());
    assertEquals(
        "number 1 of its library is that of ST1-%d in position 1: it has 2 here".formatted(first),
        put.at("questions").get(0).asString());
    assertEquals(Map.of("1", "ST1=1", "2", "ST3=2"), numbers());
    assertEquals(200, put(3, other).status());
    assertEquals(Map.of("1", "ST1=1", "3", "ST3=2"), numbers(), "a number stays where it goes");
    assertEquals(
        204,
        lead.post("/api/v1/trail/%d/undo".formatted(put(4, drill).number("undo")), null).status());
    Api.Answer found =
        lead.post(
            path("/load/plan"),
            Api.body(
                "wanted",
                List.of(
                    Api.body("toolId", drill, "libraryId", first),
                    Api.body("toolId", mill, "libraryId", first),
                    Api.body("toolId", other, "libraryId", library))));
    assertEquals(200, found.status(), found.toString());
    Api.Answer taken =
        lead.send(
            "PUT",
            path("/load"),
            Api.body("placement", found.at("placement"), "stamp", found.text("stamp")));
    assertEquals(200, taken.status(), taken.toString());
    assertEquals(List.of("ST1=1", "ST2=3", "ST3=2"), numbers().values().stream().sorted().toList());
  }

  private Api.Answer renumber(List<String> places, int first) {
    return lead.send("PUT", path("/numbers"), Api.body("places", places, "first", first));
  }

  @Test
  void aLoadIsPlannedWithSisters() {
    put(1, mill);
    Api.Answer planned =
        lead.post(
            path("/load/plan"),
            Api.body(
                "wanted",
                List.of(Api.body("toolId", mill, "number", 3), Api.body("toolId", drill)),
                "keep",
                List.of()));
    assertEquals(200, planned.status(), planned.toString());
    assertTrue(planned.at("feasible").asBoolean(), planned.toString());
    assertEquals(3, planned.at("moves").size());
    List<Long> tools = new ArrayList<>();
    planned.at("placement").forEach(place -> tools.add(place.get("toolId").asLong()));
    assertEquals(3, tools.stream().filter(tool -> tool == mill).count());
    Api.Answer taken =
        lead.send(
            "PUT",
            path("/load"),
            Api.body("placement", planned.at("placement"), "stamp", planned.text("stamp")));
    assertEquals(200, taken.status(), taken.toString());
    assertEquals(3, standing().values().stream().filter(tool -> tool == mill).count());
    machine = machine("NUMBER_APART");
    assertEquals(
        409,
        lead.post(
                path("/load/plan"),
                Api.body("wanted", List.of(Api.body("toolId", mill, "number", 2))))
            .status());
  }

  @Test
  void aStorageIsSorted() {
    put(2, mill);
    put(5, drill);
    Api.Answer sorted = lead.post(path("/load/sorted"), Api.body("storage", "C", "by", "DIAMETER"));
    assertEquals(200, sorted.status(), sorted.toString());
    assertFalse(sorted.at("moves").isEmpty());
    Api.Answer taken =
        lead.send(
            "PUT",
            path("/load"),
            Api.body("placement", sorted.at("placement"), "stamp", sorted.text("stamp")));
    assertEquals(200, taken.status(), taken.toString());
    assertEquals(Map.of("1", drill, "2", mill), standing());
    assertEquals(
        400, lead.post(path("/load/sorted"), Api.body("storage", "Z", "by", "CODE")).status());
    assertEquals(
        400, lead.post(path("/load/sorted"), Api.body("storage", "C", "by", "LUCK")).status());
    assertEquals(400, lead.post(path("/load/sorted"), Api.body("storage", "C")).status());
  }

  @Test
  void whatAToolIsStatedToCoverStaysEmpty() {
    put(2, mill);
    String path = path("/overlaps/" + mill);
    Api.Answer stated =
        lead.send("PUT", path, Api.body("overlap", Api.body("plus", 2, "minus", 0)));
    assertEquals(200, stated.status(), stated.toString());
    assertEquals(2, lead.get(path("")).at("overlaps").at("/%d/plus".formatted(mill)).asInt());
    Api.Answer beside = put(4, drill);
    assertEquals(409, beside.status());
    assertTrue(beside.toString().contains("holds a tool"), beside.toString());
    assertEquals(200, put(1, drill).status(), "nothing is covered below it");
    Api.Answer planned =
        lead.post(
            path("/load/plan"),
            Api.body("wanted", List.of(Api.body("toolId", mill), Api.body("toolId", drill))));
    assertEquals(0, planned.at("moves").size(), planned.toString());
    Api.Answer both = lead.send("PUT", path, Api.body("overlap", Api.body("plus", 2, "minus", 1)));
    assertEquals(409, both.status(), "the drill stands there");
    assertEquals(
        204, lead.post("/api/v1/trail/%d/undo".formatted(stated.number("undo")), null).status());
    assertEquals(200, put(4, drill).status());
    assertEquals(
        400,
        lead.send("PUT", path, Api.body("overlap", Api.body("plus", -1, "minus", 0))).status());
    assertEquals(
        400,
        lead.send("PUT", path, Api.body("overlap", Api.body("plus", 21, "minus", 0))).status());
    assertEquals(409, lead.send("PUT", path("/overlaps/999999"), Api.body()).status());
    assertEquals(403, as("OPERATOR").send("PUT", path, Api.body()).status());
  }
}
