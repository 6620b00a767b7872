package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Changes that somebody collects, and then proposes together. */
class CollectedProposalTest extends ServerTest {

  private static final String PROPOSALS = "/api/v1/proposals";

  private long library;
  private String code;
  private long tool;
  private long other;
  private Person proposer;

  @BeforeEach
  void aLibraryThatProgrammersMayNotChange() {
    library = library("Collected " + System.nanoTime());
    code = "CO-" + library;
    tool = tool(code + "-A");
    other = tool(code + "-B");
    rights("PROPOSE");
    proposer = person("PROGRAMMER");
  }

  private long tool(String name) {
    return lead.post("/api/v1/libraries/%d/tools".formatted(library), Draft.mill(name, "10"))
        .number("toolId");
  }

  private void rights(String right) {
    String path = "/api/v1/libraries/%d/rights".formatted(library);
    lead.send(
        "PUT",
        path,
        Api.body(
            "sharing", "SHOP",
            "roles", List.of(Api.body("role", "PROGRAMMER", "right", right)),
            "stamp", lead.get(path).text("stamp")));
  }

  private Map<String, Object> change(String diameter) {
    return Api.body(
        "kind", "CHANGE", "tool", tool, "version", 1, "draft", Draft.mill(code + "-A", diameter));
  }

  private Map<String, Object> retired() {
    return Api.body("kind", "RETIRE", "tool", other);
  }

  private Map<String, Object> fresh(String diameter) {
    return Api.body("kind", "NEW", "draft", Draft.mill(code + "-NEW", diameter));
  }

  private Api.Answer collect(Object... changes) {
    return proposer
        .api()
        .post(PROPOSALS + "/collected", Api.body("library", library, "changes", List.of(changes)));
  }

  private static long id(Api.Answer proposal) {
    return proposal.at("proposal").get("id").asLong();
  }

  private static List<String> kinds(Api.Answer proposal) {
    return proposal.at("changes").valueStream().map(one -> one.get("kind").asString()).toList();
  }

  private Api.Answer propose(long id, String reason) {
    return proposer
        .api()
        .post("%s/%d/propose".formatted(PROPOSALS, id), Api.body("reason", reason));
  }

  @Test
  void changesOfSeveralToolsAreProposedTogether() {
    long id = id(collect(change("12")));
    assertEquals(id, id(collect(retired())));
    Api.Answer all = collect(fresh("8"));
    assertEquals(List.of("CHANGE", "RETIRE", "NEW"), kinds(all));
    assertEquals("COLLECTED", all.at("proposal").get("state").asString());
    assertEquals(404, lead.get(PROPOSALS + "/" + id).status(), "nobody else's business yet");
    assertTrue(
        lead.get(PROPOSALS)
            .at("items")
            .valueStream()
            .noneMatch(one -> one.get("id").asLong() == id));
    assertEquals(400, propose(id, " ").status());
    Api.Answer proposed = propose(id, "all of them wear less");
    assertEquals(200, proposed.status(), proposed.toString());
    assertEquals("OPEN", proposed.at("proposal").get("state").asString());
    assertEquals(409, propose(id, "again").status());
    Api.Answer answered =
        lead.post(
            "%s/%d/answer".formatted(PROPOSALS, id),
            Api.body(
                "take",
                List.of(Api.body("place", 1), Api.body("place", 2), Api.body("place", 3)),
                "words",
                ""));
    assertEquals(200, answered.status(), answered.toString());
    assertEquals(
        "12", lead.get("/api/v1/tools/" + tool).body().at("/answer/values/DC/text").asString());
    assertEquals(
        "RETIRED", lead.get("/api/v1/tools/" + other).body().at("/trusted/standing").asString());
    assertEquals(1, lead.get("/api/v1/tools?q=%s-NEW".formatted(code)).at("items").size());
  }

  @Test
  void theLaterChangeOfAToolReplacesTheOneBefore() {
    collect(change("12"), fresh("8"));
    Api.Answer all = collect(change("14"), fresh("9"));
    assertEquals(List.of("CHANGE", "NEW"), kinds(all));
    assertEquals("14", all.at("changes").get(0).at("/draft/values/DC/text").asString());
    assertEquals("9", all.at("changes").get(1).at("/draft/values/DC/text").asString());
  }

  @Test
  void whatIsTakenOutIsGoneAndWithTheLastAllIs() {
    Api.Answer all = collect(change("12"), retired());
    long id = id(all);
    String first = "%s/%d/changes/1".formatted(PROPOSALS, id);
    assertEquals(404, lead.send("DELETE", first, null).status());
    assertEquals(204, proposer.api().send("DELETE", first, null).status());
    assertEquals(404, proposer.api().send("DELETE", first, null).status());
    assertEquals(List.of("RETIRE"), kinds(proposer.api().get(PROPOSALS + "/" + id)));
    assertEquals(
        204,
        proposer.api().send("DELETE", "%s/%d/changes/2".formatted(PROPOSALS, id), null).status());
    assertEquals(404, proposer.api().get(PROPOSALS + "/" + id).status());
    long again = id(collect(retired()));
    assertEquals(404, lead.send("DELETE", PROPOSALS + "/" + again, null).status());
    assertEquals(204, proposer.api().send("DELETE", PROPOSALS + "/" + again, null).status());
    assertEquals(404, propose(again, "gone").status());
  }

  @Test
  void whatCannotBeTakenAsThingsAreNowIsNotProposed() {
    long id = id(collect(change("12"), retired()));
    lead.send("PUT", "/api/v1/tools/%d?version=1".formatted(tool), Draft.mill(code + "-A", "12"));
    Api.Answer refused = propose(id, "wears less");
    assertEquals(409, refused.status(), refused.toString());
    assertTrue(refused.toString().contains("would stay as it is"), refused.toString());
    rights("USE");
    assertEquals(403, propose(id, "wears less").status());
    assertEquals(403, collect(change("14")).status());
  }

  @Test
  void eightAtOnceCollectIntoOne() throws Exception {
    List<Callable<Long>> all = Collections.nCopies(8, () -> id(collect(change("12"), retired())));
    try (ExecutorService together = Executors.newFixedThreadPool(8)) {
      List<Future<Long>> answers = together.invokeAll(all);
      long id = answers.getFirst().get();
      for (Future<Long> one : answers) {
        assertEquals(id, one.get());
      }
      assertEquals(List.of("CHANGE", "RETIRE"), kinds(proposer.api().get(PROPOSALS + "/" + id)));
    }
  }
}
