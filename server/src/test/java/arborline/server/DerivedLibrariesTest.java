package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Libraries that come from editions of others and take in what becomes of them. */
class DerivedLibrariesTest extends ServerTest {

  private long base;
  private String code;
  private long tool;

  @BeforeEach
  void aPublishedLibrary() {
    base = library("Derived from " + System.nanoTime());
    code = "DV-" + base;
    tool = add(base, code);
    cut(tool, 150);
    publish();
  }

  private long add(long library, String toolCode) {
    return lead.post("/api/v1/libraries/%d/tools".formatted(library), Draft.mill(toolCode, "10"))
        .number("toolId");
  }

  private void cut(long toolId, int speed) {
    assertEquals(
        201,
        lead.post(
                "/api/v1/tools/%d/cutting".formatted(toolId),
                Api.body(
                    "material",
                    "p-alloy-annealed",
                    "speed",
                    speed,
                    "feed",
                    0.05,
                    "depth",
                    1,
                    "width",
                    1))
            .status());
  }

  private long publish() {
    Api.Answer made =
        lead.post("/api/v1/libraries/%d/editions".formatted(base), Api.body("words", ""));
    assertEquals(201, made.status());
    return made.number("id");
  }

  private Api.Answer derive(String ending) {
    return lead.post(
        "/api/v1/libraries/%d/derive".formatted(base),
        Api.body("name", "Heron " + System.nanoTime(), "ending", ending));
  }

  private long derived() {
    Api.Answer made = derive("-H");
    assertEquals(201, made.status(), made.body().toString());
    return made.at("library").get("id").asLong();
  }

  private Map<String, Long> tools(long library) {
    Map<String, Long> tools = new TreeMap<>();
    lead.get("/api/v1/libraries/%d/tools".formatted(library))
        .at("items")
        .forEach(row -> tools.put(row.get("code").asString(), row.get("toolId").asLong()));
    return tools;
  }

  private void change(long toolId, String toolCode, String diameter) {
    int version = (int) lead.get("/api/v1/tools/" + toolId).number("version");
    Api.Answer changed =
        lead.send(
            "PUT",
            "/api/v1/tools/%d?version=%d".formatted(toolId, version),
            Draft.mill(toolCode, diameter));
    assertEquals(200, changed.status(), changed.body().toString());
  }

  private String diameter(long toolId) {
    return lead.get("/api/v1/tools/" + toolId).body().at("/answer/values/DC/text").asString();
  }

  private Api.Answer update(long library) {
    return lead.get("/api/v1/libraries/%d/base-update".formatted(library));
  }

  private Api.Answer take(long library, Object... order) {
    return lead.post("/api/v1/libraries/%d/base-update".formatted(library), Api.body(order));
  }

  private long undo(Api.Answer taken) {
    return taken.at("taken").get("undo").asLong();
  }

  @Test
  void aDerivedLibraryHasToolsOfItsOwnAndTheBaseStaysAsItIs() {
    long heron = derived();
    long own = tools(heron).get(code + "-H");
    assertEquals(1, lead.get("/api/v1/tools/%d/cutting".formatted(own)).at("items").size());
    change(own, code + "-H", "9");
    assertEquals("9", diameter(own));
    assertEquals("10", diameter(tool));
    JsonNode from = lead.get("/api/v1/libraries/%d/base".formatted(heron)).at("from");
    assertEquals(base, from.get("baseId").asLong());
    assertEquals(1, from.get("edition").get("number").asInt());
    assertTrue(from.get("newest").isNull());
    JsonNode marks =
        lead.get("/api/v1/libraries/%d/base/marks?tools=%d".formatted(heron, own)).at("items");
    assertEquals("values.DC", marks.get(0).get("fields").get(0).asString());
    Api.Answer differences = lead.get("/api/v1/libraries/%d/base/differences".formatted(heron));
    assertEquals(1, differences.number("changedCount"));
    assertEquals(code + "-H", differences.at("changed").get(0).get("code").asString());
  }

  @Test
  void whatTheBaseChangedArrivesNothingLocalIsLostAndItIsTakenBack() {
    long gone = add(base, code + "-GONE");
    publish();
    long heron = derived();
    long own = tools(heron).get(code + "-H");
    lead.post(
        "/api/v1/tools/%d/cutting".formatted(own),
        Api.body("material", "k-grey", "speed", 90, "feed", 0.04, "depth", 1, "width", 1));
    long local = add(heron, code + "-LOCAL");
    change(tool, code, "12");
    add(base, code + "-NEW");
    lead.send("DELETE", "/api/v1/libraries/%d/tools/%d".formatted(base, gone), null);
    publish();
    Api.Answer update = update(heron);
    assertEquals(1, update.number("added"));
    assertEquals(1, update.number("changed"));
    assertEquals(1, update.number("removed"));
    assertEquals(0, update.at("questions").size());
    Api.Answer taken = take(heron);
    assertEquals(200, taken.status(), taken.body().toString());
    assertEquals(
        new TreeSet<>(List.of(code + "-H", code + "-LOCAL", code + "-NEW-H")),
        tools(heron).keySet());
    assertEquals("12", diameter(own));
    assertEquals(2, lead.get("/api/v1/tools/%d/cutting".formatted(own)).at("items").size());
    assertTrue(update(heron).at("to").isNull());
    assertEquals(409, take(heron).status());
    assertEquals(204, lead.post("/api/v1/trail/%d/undo".formatted(undo(taken)), null).status());
    assertEquals(
        new TreeSet<>(List.of(code + "-H", code + "-LOCAL", code + "-GONE-H")),
        tools(heron).keySet());
    assertEquals("10", diameter(own));
    assertEquals(local, tools(heron).get(code + "-LOCAL"));
    assertEquals(1, update(heron).number("added"));
    assertEquals(200, take(heron).status());
    assertEquals("12", diameter(own));
    assertTrue(tools(heron).containsKey(code + "-NEW-H"));
  }

  @Test
  void whatBothChangedIsAskedAndOnlyTakenWithAnAnswer() {
    long heron = derived();
    long own = tools(heron).get(code + "-H");
    change(own, code + "-H", "9");
    change(tool, code, "12");
    publish();
    JsonNode question = update(heron).at("questions").get(0);
    assertEquals(code, question.get("code").asString());
    assertEquals("values.DC", question.get("field").asString());
    assertEquals("12 mm", question.get("theirs").asString());
    assertEquals("9 mm", question.get("ours").asString());
    assertTrue(question.get("theirOutline").isObject());
    Api.Answer open = take(heron);
    assertEquals(409, open.status());
    assertTrue(open.text("detail").contains("values.DC of " + code));
    assertEquals("9", diameter(own));
    Object answer = Api.body("code", code, "field", "values.DC", "side", "OURS");
    Api.Answer seen =
        lead.post(
            "/api/v1/libraries/%d/base-update?preview=true".formatted(heron),
            Api.body("answers", List.of(answer)));
    assertEquals(0, seen.at("view").get("questions").size());
    assertEquals(200, take(heron, "answers", List.of(answer)).status());
    assertEquals("9", diameter(own));
    change(tool, code, "14");
    publish();
    Object theirs = Api.body("code", code, "field", "values.DC", "side", "THEIRS");
    assertEquals(200, take(heron, "answers", List.of(theirs)).status());
    assertEquals("14", diameter(own));
  }

  @Test
  void aTakingThatWasChangedSinceIsNotTakenBack() {
    long heron = derived();
    long own = tools(heron).get(code + "-H");
    change(tool, code, "12");
    publish();
    long undo = undo(take(heron));
    change(own, code + "-H", "13");
    Api.Answer refused = lead.post("/api/v1/trail/%d/undo".formatted(undo), null);
    assertEquals(409, refused.status());
    assertTrue(refused.text("detail").contains(code + "-H was changed since"));
    assertEquals("13", diameter(own));
  }

  @Test
  void aNumberThatAnotherToolHasHereBecomesTheNextFreeOne() {
    long heron = derived();
    add(heron, code + "-LOCAL");
    add(base, code + "-NEW");
    publish();
    assertEquals(200, take(heron).status());
    List<Integer> numbers = new ArrayList<>();
    lead.get("/api/v1/libraries/%d/tools".formatted(heron))
        .at("items")
        .forEach(row -> numbers.add(row.get("number").asInt()));
    assertEquals(List.of(1, 2, 3), numbers.stream().sorted().toList());
  }

  @Test
  void aBaseIsNotDeletedWhileLibrariesAreDerivedFromIt() {
    long heron = derived();
    Api.Answer refused = lead.send("DELETE", "/api/v1/libraries/" + base, null);
    assertEquals(409, refused.status());
    assertTrue(refused.text("detail").contains("derived from it"));
    Api.Answer gone = lead.send("DELETE", "/api/v1/libraries/%d/base".formatted(heron), null);
    assertEquals(200, gone.status());
    assertTrue(lead.get("/api/v1/libraries/%d/base".formatted(heron)).at("from").isNull());
    assertEquals(200, lead.send("DELETE", "/api/v1/libraries/" + base, null).status());
    assertEquals(
        409, lead.post("/api/v1/trail/%d/undo".formatted(gone.number("undo")), null).status());
    assertTrue(tools(heron).containsKey(code + "-H"));
  }

  @Test
  void whereItsBaseWasDeletedMeanwhileItStaysAsItIs() {
    long heron = derived();
    long gone = lead.send("DELETE", "/api/v1/libraries/" + heron, null).number("undo");
    assertEquals(200, lead.send("DELETE", "/api/v1/libraries/" + base, null).status());
    assertEquals(204, lead.post("/api/v1/trail/%d/undo".formatted(gone), null).status());
    JsonNode from = lead.get("/api/v1/libraries/%d/base".formatted(heron)).at("from");
    assertTrue(from.get("deleted").asBoolean());
    assertTrue(from.get("newest").isNull());
    Api.Answer refused = update(heron);
    assertEquals(409, refused.status());
    assertTrue(refused.text("detail").contains("was deleted; the library stays as it is"));
    assertTrue(tools(heron).containsKey(code + "-H"));
  }

  @Test
  void derivingIsTakenBackAndDoneAgainUnderTheSameCodes() {
    Api.Answer first = derive("-H");
    assertEquals(
        204, lead.post("/api/v1/trail/%d/undo".formatted(first.number("undo")), null).status());
    long again = derived();
    assertEquals(new TreeSet<>(List.of(code + "-H")), tools(again).keySet());
    Api.Answer clash = derive("-H");
    assertEquals(409, clash.status());
    assertTrue(clash.text("detail").contains("choose another ending"));
  }

  @Test
  void wrongOrdersAreRefusedInWords() {
    assertEquals(400, derive("").status());
    assertEquals(400, derive("-H H").status());
    assertEquals(400, derive("-").status());
    assertEquals(400, derive("x".repeat(21)).status());
    long bare = library("Unpublished " + System.nanoTime());
    Api.Answer none =
        lead.post(
            "/api/v1/libraries/%d/derive".formatted(bare), Api.body("name", "n", "ending", "-Q"));
    assertEquals(409, none.status());
    assertTrue(none.text("detail").contains("publish one first"));
    assertEquals(409, update(bare).status());
    long heron = derived();
    assertEquals(400, take(heron, "answers", List.of(Api.body("code", "x"))).status());
    assertEquals(404, take(heron, "edition", 987654321).status());
    assertEquals(
        403,
        as("OPERATOR")
            .post("/api/v1/libraries/%d/base-update".formatted(heron), Api.body())
            .status());
  }

  @Test
  void aDerivedLibraryOfAPrivateOneIsPrivate() {
    Person owner = person("PROGRAMMER");
    Api.Answer opened =
        owner
            .api()
            .post(
                "/api/v1/libraries?sharing=PRIVATE",
                Api.body("name", "Private " + System.nanoTime()));
    long hidden = opened.number("id");
    owner.api().post("/api/v1/libraries/%d/tools".formatted(hidden), Draft.mill(code + "-P", "10"));
    owner.api().post("/api/v1/libraries/%d/editions".formatted(hidden), Api.body("words", ""));
    Api.Answer made =
        owner
            .api()
            .post(
                "/api/v1/libraries/%d/derive".formatted(hidden),
                Api.body("name", "Private too " + System.nanoTime(), "ending", "-P2"));
    assertEquals(201, made.status(), made.body().toString());
    assertEquals("PRIVATE", made.at("library").get("sharing").asString());
    long copy = made.at("library").get("id").asLong();
    assertEquals(
        404, as("PROGRAMMER").get("/api/v1/libraries/%d/base-update".formatted(copy)).status());
  }

  @Test
  void ofTwentyAtOnceOneTakesTheUpdateIn() throws Exception {
    long heron = derived();
    change(tool, code, "12");
    publish();
    try (ExecutorService many = Executors.newFixedThreadPool(20)) {
      List<Callable<Integer>> all =
          IntStream.range(0, 20)
              .mapToObj(one -> (Callable<Integer>) () -> take(heron).status())
              .toList();
      List<Integer> answers = new ArrayList<>();
      for (var one : many.invokeAll(all)) {
        answers.add(one.get());
      }
      assertEquals(1, answers.stream().filter(status -> status == 200).count());
      assertFalse(answers.stream().anyMatch(status -> status >= 500));
    }
    assertEquals(
        2, lead.get("/api/v1/tools/%d".formatted(tools(heron).get(code + "-H"))).number("version"));
  }

  @Test
  void whatTheMergeWouldSpoilIsNamedAndLeftAndWhatTheBaseLacksItselfComesAlong() {
    long half =
        lead.post(
                "/api/v1/libraries/%d/tools?incomplete=true".formatted(base),
                Draft.of(code + "-HALF", "Mill", "end-mill-flat", "NOF=4"))
            .number("toolId");
    publish();
    long heron = derived();
    long own = tools(heron).get(code + "-H");
    lead.send(
        "PUT",
        "/api/v1/tools/%d?version=1".formatted(own),
        Draft.of(code + "-H", "Mill", "end-mill-flat", "DC=10 APMX=40 DMM=12 OAL=83 NOF=4"));
    lead.send(
        "PUT",
        "/api/v1/tools/%d?version=1&incomplete=true".formatted(half),
        Draft.of(code + "-HALF", "Mill", "end-mill-flat", "NOF=3"));
    lead.send(
        "PUT",
        "/api/v1/tools/%d?version=1".formatted(tool),
        Draft.of(code, "Mill", "end-mill-flat", "DC=10 APMX=20 DMM=12 OAL=83 NOF=4 LU=30"));
    publish();
    JsonNode steps = update(heron).at("steps");
    Map<String, Integer> obstacles = new TreeMap<>();
    steps.forEach(step -> obstacles.put(step.get("code").asString(), step.get("obstacles").size()));
    assertEquals(Map.of(code + "-H", 1, code + "-HALF-H", 0), obstacles);
    assertEquals(409, take(heron).status());
    Api.Answer taken = take(heron, "leave", List.of(code + "-H"));
    assertEquals(200, taken.status(), taken.body().toString());
    assertEquals(1, taken.at("taken").get("changed").asInt());
    assertEquals(2, lead.get("/api/v1/tools/" + own).number("version"));
  }
}
