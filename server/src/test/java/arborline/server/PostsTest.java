package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.stream.IntStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Posts: what they need, what they bring, what of a library they can write. */
class PostsTest extends ServerTest {

  private static final String POSTS = "/api/v1/posts";

  private String name;
  private long library;

  @BeforeEach
  void aLibraryWithAMillAndATurningTool() {
    name = "Post " + System.nanoTime();
    library = library(name + " tools");
    tool("PM", "end-mill-flat", "DC=10 APMX=22 DMM=10 OAL=72 NOF=4");
    tool("PT", "turning-external", "KAPR=95 H=25 B=25 LF=150 WF=32");
  }

  private long tool(String prefix, String toolClass, String values) {
    return lead.post(
            "/api/v1/libraries/%d/tools?incomplete=true".formatted(library),
            Draft.of(prefix + "-" + library, "Tool", toolClass, values))
        .number("toolId");
  }

  private Map<String, Object> post(Object... changes) {
    Map<String, Object> post =
        Api.body(
            "name",
            name,
            "numbers",
            Api.body("from", 1, "to", 99),
            "offsetForm",
            "SAME_AS_NUMBER",
            "commentLength",
            16,
            "commentCharacters",
            "A-Z0-9 .",
            "orientation",
            true,
            "needed",
            Api.body("MILLING", List.of("DC", "LU")));
    post.putAll(Api.body(changes));
    return post;
  }

  /** A post for a machine whose tools have numbers from 601 to 680. */
  private Map<String, Object> ranged() {
    return post("numbers", Api.body("from", 601, "to", 680));
  }

  private Api.Answer create(Map<String, Object> post, Object... links) {
    Map<String, Object> draft = Api.body(links);
    draft.put("post", post);
    return lead.post(POSTS, draft);
  }

  private long made(Object... links) {
    Api.Answer made = create(post(), links);
    assertEquals(201, made.status(), made.toString());
    return made.number("id");
  }

  private void undo(long line) {
    assertEquals(204, lead.post("/api/v1/trail/%d/undo".formatted(line), null).status());
  }

  @Test
  void aPostBringsItsLibraryAndSaysWhatOfItCannotBePosted() {
    long id = create(ranged(), "machine", "L1", "library", library).number("id");
    JsonNode view = lead.get(POSTS + "/" + id).body();
    assertEquals("L1 Cormorant", view.get("machineName").asString());
    assertEquals(name + " tools", view.get("libraryName").asString());
    JsonNode report = lead.get(POSTS + "/" + id + "/check").body();
    assertEquals(2, report.get("checked").asInt());
    assertEquals(1, report.get("refused").asInt(), report.toString());
    assertTrue(report.toString().contains("needs LU, which is not stated"), report.toString());
    long elsewhere = create(post("name", name + " M"), "machine", "M1").number("id");
    JsonNode other = lead.get("%s/%d/check?library=%d".formatted(POSTS, elsewhere, library)).body();
    assertTrue(other.toString().contains("needs a tip orientation"), other.toString());
    assertEquals(400, lead.get("%s/%d/check".formatted(POSTS, elsewhere)).status());
    assertEquals(
        List.of(name),
        lead.get(POSTS + "?machine=L1")
            .at("items")
            .valueStream()
            .map(one -> one.at("/post/name").asString())
            .filter(name::equals)
            .toList());
  }

  @Test
  void theChosenPostBringsItsLibraryAndDefaultsToItsMachine() {
    String machine = machine();
    String path = "/api/v1/machines/" + machine;
    long id = made("machine", machine, "library", library);
    assertEquals(id, lead.get(path + "/post").at("post").asLong(), "the only one");
    long second = create(post("name", name + " second"), "machine", machine).number("id");
    assertTrue(lead.get(path + "/post").at("post").isNull(), "one of two has to be chosen");
    assertEquals(2, lead.get(path + "/post").at("offered").size());
    lead.send(
        "PUT",
        "%s/%d/defaults".formatted(POSTS, id),
        Api.body(
            "version",
            0,
            "values",
            Api.body(
                "coolant",
                "through the tool",
                "cut.direction",
                "conventional",
                "feed.plunge",
                "0.25")));
    assertEquals(200, lead.send("PUT", path + "/post", Api.body("post", id)).status());
    JsonNode brought = lead.get(path).at("library");
    assertEquals(library, brought.get("libraryId").asLong());
    assertEquals(name, brought.get("post").asString());
    long mill = tool("PU", "end-mill-flat", "DC=10 APMX=22 DMM=10 OAL=72 NOF=4");
    assertEquals(200, lead.send("PUT", path + "/plan/3", Api.body("toolId", mill)).status());
    JsonNode use = lead.get(path + "/plan/3/use").at("use");
    assertEquals("through the tool", use.get("coolant").asString());
    assertTrue(!use.get("climb").asBoolean());
    JsonNode feed =
        lead.get("%s/%d/feeds?feed=1200&machine=%s".formatted(POSTS, id, machine))
            .at("items")
            .get(0);
    assertEquals("300", feed.get("feed").asString());
    for (String wrong : List.of("0", "-1", "1e99", "x")) {
      assertEquals(400, lead.get("%s/%d/feeds?feed=%s".formatted(POSTS, id, wrong)).status());
    }
    Api.Answer other = lead.send("PUT", path + "/post", Api.body("post", second));
    assertTrue(lead.get(path).at("library").isNull());
    undo(other.number("undo"));
    assertEquals(id, lead.get(path + "/post").at("post").asLong());
    assertEquals(409, lead.send("PUT", path + "/post", Api.body("post", 999_999)).status());
    assertEquals(403, as("TOOLROOM").send("PUT", path + "/post", Api.body("post", id)).status());
    assertEquals(404, lead.get("/api/v1/machines/M99/post").status());
    lead.send("DELETE", "/api/v1/libraries/" + library, null);
    assertTrue(lead.get(path).at("library").isNull(), "its library was deleted");
  }

  @Test
  void aPlannedToolIsPostedUnderTheNumberThatItHasAtTheMachine() {
    String machine = machine();
    long id = made("machine", machine, "library", library);
    long mill = tool("PV", "end-mill-flat", "DC=10 APMX=22 DMM=10 OAL=72 NOF=4 LU=30");
    String path = "/api/v1/machines/" + machine;
    assertEquals(200, lead.send("PUT", path + "/plan/3", Api.body("toolId", mill)).status());
    lead.send("PUT", path + "/numbers", Api.body("places", List.of("3"), "first", 40));
    String report = lead.get("%s/%d/check".formatted(POSTS, id)).body().toString();
    assertTrue(!report.contains("is not its number"), report);
    lead.send("PUT", path + "/numbers", Api.body("places", List.of("3"), "first", 140));
    JsonNode beyond =
        lead.get("%s/%d/check".formatted(POSTS, id))
            .at("items")
            .valueStream()
            .filter(one -> one.get("toolId").asLong() == mill)
            .findFirst()
            .orElseThrow();
    assertEquals(140, beyond.get("number").asInt());
    assertTrue(beyond.toString().contains("140"), beyond.toString());
  }

  @Test
  void aToolThatIsNotPlannedIsPostedUnderTheNumberThatItWouldGet() {
    long id = create(ranged(), "machine", machine("L1"), "library", library).number("id");
    long mill = tool("PX", "end-mill-flat", "DC=10 APMX=22 DMM=10 OAL=72 NOF=4 LU=30");
    JsonNode items = lead.get("%s/%d/check".formatted(POSTS, id)).at("items");
    assertTrue(
        items.valueStream().noneMatch(one -> one.get("toolId").asLong() == mill), items.toString());
  }

  private String machine() {
    return machine("M1");
  }

  private String machine(String like) {
    String unique = Long.toString(System.nanoTime(), 36).toUpperCase();
    String id = "P" + unique.substring(unique.length() - 8);
    ObjectNode definition =
        (ObjectNode) lead.get("/api/v1/machines/" + like).at("machine").deepCopy();
    definition.put("id", id).put("name", "Posts " + id);
    ((ObjectNode) definition.get("outputs"))
        .putPOJO("coolant", List.of("flood", "through the tool"));
    assertEquals(201, lead.post("/api/v1/machines", Api.body("machine", definition)).status());
    return id;
  }

  @Test
  void aPostIsChangedFromWhatSomebodySawAndTakenBack() {
    long id = made();
    Api.Answer changed =
        lead.send(
            "PUT",
            "%s/%d?version=1".formatted(POSTS, id),
            Api.body("post", post("commentLength", 40), "machine", "M1"));
    assertEquals(200, changed.status(), changed.toString());
    assertEquals(
        409,
        lead.send("PUT", "%s/%d?version=1".formatted(POSTS, id), Api.body("post", post()))
            .status());
    undo(changed.number("undo"));
    JsonNode back = lead.get(POSTS + "/" + id).body();
    assertEquals(16, back.at("/post/commentLength").asInt());
    assertTrue(back.get("machine").isNull());
    Api.Answer deleted = lead.send("DELETE", POSTS + "/" + id, null);
    assertEquals(404, lead.get(POSTS + "/" + id).status());
    assertEquals(201, create(post()).status(), "its name is free");
    assertEquals(
        409, lead.post("/api/v1/trail/%d/undo".formatted(deleted.number("undo")), null).status());
  }

  @Test
  void aMachineReplacesSingleDefaultsAndAPersonSingleOnesAgain() {
    long id = made("machine", "M1");
    String defaults = "%s/%d/defaults".formatted(POSTS, id);
    Api.Answer said =
        lead.send(
            "PUT",
            defaults,
            Api.body("version", 0, "values", Api.body("coolant", "flood", "feed.finish", "0.6")));
    assertEquals(200, said.status(), said.toString());
    assertEquals(1, said.number("version"));
    assertEquals(
        409, lead.send("PUT", defaults, Api.body("version", 0, "values", Api.body())).status());
    assertEquals(
        200,
        lead.send(
                "PUT",
                defaults + "/machine",
                Api.body("machine", "M1", "key", "coolant", "value", "air"))
            .status());
    Person programmer = person("PROGRAMMER");
    assertEquals(
        200,
        programmer
            .api()
            .send("PUT", defaults + "/mine", Api.body("key", "coolant", "value", "none"))
            .status());
    JsonNode mine =
        programmer
            .api()
            .get(defaults)
            .at("items")
            .valueStream()
            .filter(one -> one.get("key").asString().equals("coolant"))
            .findFirst()
            .orElseThrow();
    assertEquals("PERSON", mine.get("source").asString());
    assertEquals("air", mine.at("/replaced/0/value").asString());
    assertEquals("MACHINE", lead.get(defaults).at("items").get(1).get("source").asString());
    assertEquals(
        "POST", lead.get(defaults + "?machine=M2").at("items").get(1).get("source").asString());
    programmer.api().send("PUT", defaults + "/mine", Api.body("key", "coolant", "value", null));
    assertEquals(lead.get(defaults).body(), programmer.api().get(defaults).body());
  }

  @Test
  void aPostGoesOutAsAFileAndComesInAgain() {
    long id = made();
    lead.send(
        "PUT",
        "%s/%d/defaults".formatted(POSTS, id),
        Api.body("version", 0, "values", Api.body("blower", "on")));
    JsonNode file = lead.get("%s/%d/file".formatted(POSTS, id)).body();
    assertEquals(409, lead.post(POSTS + "/import", file).status(), "the name is taken");
    assertEquals(200, lead.send("DELETE", POSTS + "/" + id, null).status());
    Api.Answer again = lead.post(POSTS + "/import", file);
    assertEquals(201, again.status(), again.toString());
    assertEquals(file, lead.get("%s/%d/file".formatted(POSTS, again.number("id"))).body());
  }

  @Test
  void wrongPostsAreRefusedWithTheirPlace() {
    for (Object[] wrong :
        List.of(
            new Object[] {"name", null, "'name' is missing"},
            new Object[] {"numbers", null, "'numbers' is missing"},
            new Object[] {"name", " ", "name: 1 to 80"},
            new Object[] {"numbers", Api.body("from", 9, "to", 1), "numbers: from 0"},
            new Object[] {"offsetForm", null, "'offsetForm' is missing"},
            new Object[] {"commentCharacters", "z-a", "commentCharacters: this is no list"},
            new Object[] {"needed", Api.body("MILLING", List.of("X9")), "'X9' is no property"})) {
      Api.Answer refused = create(post(wrong[0], wrong[1]));
      assertEquals(400, refused.status(), refused.toString());
      assertTrue(refused.text("detail").contains((String) wrong[2]), refused.text("detail"));
    }
    assertEquals(400, lead.post(POSTS, Api.body()).status());
    assertEquals(404, create(post(), "machine", "M99").status());
    assertEquals(404, create(post(), "library", 999_999_999).status());
    assertEquals(400, create(post(), "edition", 1).status());
    long id = made();
    for (Map<String, Object> values :
        Arrays.asList(
            Api.body("feed.rough", "9"), Api.body("spindle", "1"), Api.body("coolant", null))) {
      assertEquals(
          400,
          lead.send(
                  "PUT",
                  "%s/%d/defaults".formatted(POSTS, id),
                  Api.body("version", 0, "values", values))
              .status(),
          values.toString());
    }
  }

  @Test
  void ofTwentyWhoTakeOneNameOneDoes() {
    List<Integer> statuses =
        IntStream.range(0, 20)
            .mapToObj(i -> CompletableFuture.supplyAsync(() -> create(post()).status()))
            .toList()
            .stream()
            .map(CompletableFuture::join)
            .toList();
    assertEquals(1, statuses.stream().filter(status -> status == 201).count());
    assertEquals(19, statuses.stream().filter(status -> status == 409).count());
  }

  @Test
  void onlyWhoMayEditMakesPosts() {
    long id = made();
    for (String role : List.of("TOOLROOM", "OPERATOR", "VISITOR")) {
      Api other = as(role);
      assertEquals(403, other.post(POSTS, Api.body("post", post())).status());
      assertEquals(403, other.send("DELETE", POSTS + "/" + id, null).status());
      assertEquals(200, other.get(POSTS + "/" + id).status());
    }
  }
}
