package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Changes that somebody proposes, and others take or decline. */
class ProposalsTest extends ServerTest {

  private static final String PROPOSALS = "/api/v1/proposals";

  private long library;
  private long tool;
  private String code;
  private Person proposer;

  @BeforeEach
  void aLibraryThatProgrammersMayNotChange() {
    library = library("Proposals " + System.nanoTime());
    code = "PP-" + library;
    tool =
        lead.post("/api/v1/libraries/%d/tools".formatted(library), Draft.mill(code, "10"))
            .number("toolId");
    lead.send(
        "PUT",
        "/api/v1/libraries/%d/rights".formatted(library),
        Api.body(
            "sharing", "SHOP",
            "roles", List.of(Api.body("role", "PROGRAMMER", "right", "PROPOSE")),
            "stamp", lead.get("/api/v1/libraries/%d/rights".formatted(library)).text("stamp")));
    proposer = person("PROGRAMMER");
  }

  private Map<String, Object> change(Map<String, Object> draft) {
    return Api.body("kind", "CHANGE", "tool", tool, "version", 1, "draft", draft);
  }

  private Api.Answer propose(Object... changes) {
    return proposer
        .api()
        .post(
            PROPOSALS,
            Api.body("library", library, "reason", "wears less", "changes", List.of(changes)));
  }

  private static long id(Api.Answer proposal) {
    return proposal.at("proposal").get("id").asLong();
  }

  private static Api.Answer answer(Api api, long id, String words, Object... take) {
    return api.post(
        "%s/%d/answer".formatted(PROPOSALS, id), Api.body("take", List.of(take), "words", words));
  }

  private String diameter() {
    return lead.get("/api/v1/tools/" + tool).body().at("/answer/values/DC/text").asString();
  }

  private JsonNode listed(Api api, long id) {
    return api.get(PROPOSALS)
        .at("items")
        .valueStream()
        .filter(one -> one.get("id").asLong() == id)
        .findFirst()
        .orElseThrow();
  }

  @Test
  void whatIsProposedIsShownTakenAndAnswered() {
    Api.Answer made = propose(change(Draft.mill(code, "12")));
    assertEquals(201, made.status(), made.toString());
    long id = id(made);
    assertTrue(listed(lead, id).get("toMe").asBoolean());
    assertFalse(listed(proposer.api(), id).get("toMe").asBoolean());
    assertTrue(listed(proposer.api(), id).get("mine").asBoolean());
    JsonNode shown = lead.get(PROPOSALS + "/" + id).at("changes").get(0);
    assertEquals("DC", shown.at("/outcome/differences/0/field").asString());
    assertFalse(shown.at("/outcome/moved").asBoolean());
    assertTrue(shown.at("/outcome/then").isObject());
    assertEquals(403, answer(proposer.api(), id, "", Api.body("place", 1)).status());
    assertEquals("10", diameter());
    Api.Answer answered = answer(lead, id, "tried it, good", Api.body("place", 1));
    assertEquals(200, answered.status(), answered.toString());
    assertEquals("12", diameter());
    JsonNode head = listed(proposer.api(), id);
    assertEquals("ANSWERED", head.get("state").asString());
    assertEquals("tried it, good", head.get("words").asString());
    assertEquals(1, head.get("taken").asInt());
    assertFalse(head.get("seen").asBoolean());
    assertEquals(204, proposer.api().post("%s/%d/seen".formatted(PROPOSALS, id), null).status());
    assertTrue(listed(proposer.api(), id).get("seen").asBoolean());
    assertEquals(403, lead.post("%s/%d/seen".formatted(PROPOSALS, id), null).status());
    assertEquals(409, answer(lead, id, "", Api.body("place", 1)).status());
  }

  @Test
  void someAreTakenAndTheOthersDeclined() {
    long id =
        id(
            propose(
                change(Draft.mill(code, "12")),
                Api.body("kind", "NEW", "draft", Draft.mill(code + "-NEW", "8")),
                Api.body("kind", "RETIRE", "tool", tool)));
    Api.Answer answered = answer(lead, id, "", Api.body("place", 2), Api.body("place", 3));
    assertEquals(200, answered.status(), answered.toString());
    assertEquals("10", diameter());
    assertEquals(
        List.of("DECLINED", "TAKEN", "TAKEN"),
        answered.at("changes").valueStream().map(one -> one.get("answer").asString()).toList());
    assertEquals(
        "RETIRED", lead.get("/api/v1/tools/" + tool).body().at("/trusted/standing").asString());
    assertEquals(1, lead.get("/api/v1/tools?q=%s-NEW".formatted(code)).at("items").size());
  }

  @Test
  void aChangeWhoseGroundMovedIsMergedPerField() {
    Map<String, Object> longer = Draft.mill(code, "10");
    longer.put("name", "Mill, longer");
    long id = id(propose(change(longer)));
    lead.send("PUT", "/api/v1/tools/%d?version=1".formatted(tool), Draft.mill(code, "11"));
    JsonNode shown = lead.get(PROPOSALS + "/" + id).at("changes").get(0);
    assertTrue(shown.at("/outcome/moved").asBoolean());
    assertEquals(0, shown.at("/outcome/conflicts").size());
    assertEquals(200, answer(lead, id, "", Api.body("place", 1)).status());
    assertEquals("11", diameter());
    assertEquals("Mill, longer", lead.get("/api/v1/tools/" + tool).text("name"));
  }

  @Test
  void aFieldThatBothChangedIsAskedAndNothingIsDoneBefore() {
    long id =
        id(
            propose(
                change(Draft.mill(code, "12")),
                Api.body("kind", "NEW", "draft", Draft.mill(code + "-NEW", "8"))));
    lead.send("PUT", "/api/v1/tools/%d?version=1".formatted(tool), Draft.mill(code, "11"));
    JsonNode conflicts = lead.get(PROPOSALS + "/" + id).body().at("/changes/0/outcome/conflicts");
    assertEquals("DC", conflicts.get(0).get("symbol").asString());
    Api.Answer asked = answer(lead, id, "", Api.body("place", 2), Api.body("place", 1));
    assertEquals(409, asked.status());
    assertEquals("OPEN", listed(lead, id).get("state").asString());
    assertEquals(0, lead.get("/api/v1/tools?q=%s-NEW".formatted(code)).at("items").size());
    assertEquals(
        200, answer(lead, id, "", Api.body("place", 1, "keep", "MINE", "seen", 2)).status());
    assertEquals("12", diameter());
  }

  @Test
  void twoWhoAnswerAtOnceAreToldWhoWasFirst() throws Exception {
    long id = id(propose(change(Draft.mill(code, "12"))));
    List<Callable<Integer>> both =
        Collections.nCopies(8, () -> answer(lead, id, "", Api.body("place", 1)).status());
    List<Integer> answers = new ArrayList<>();
    try (ExecutorService together = Executors.newFixedThreadPool(8)) {
      for (Future<Integer> one : together.invokeAll(both)) {
        answers.add(one.get());
      }
    }
    assertEquals(1, answers.stream().filter(status -> status == 200).count(), answers.toString());
    assertEquals(7, answers.stream().filter(status -> status == 409).count(), answers.toString());
    assertEquals(2, lead.get("/api/v1/tools/" + tool).number("version"));
  }

  @Test
  void whoProposedWithdraws() {
    long id = id(propose(change(Draft.mill(code, "12"))));
    String path = "%s/%d/withdraw".formatted(PROPOSALS, id);
    assertEquals(403, person("PROGRAMMER").api().post(path, null).status());
    assertEquals(200, proposer.api().post(path, null).status());
    assertEquals(409, answer(lead, id, "", Api.body("place", 1)).status());
  }

  @Test
  void whatMeansNothingIsRefusedInWords() {
    assertEquals(409, propose(change(Draft.mill(code, "10"))).status(), "nothing would change");
    assertEquals(400, propose().status());
    assertEquals(400, propose(Api.body("kind", "CHANGE")).status());
    assertEquals(400, propose(Api.body("tool", tool)).status());
    assertEquals(409, propose(Api.body("kind", "RETIRE", "tool", 999_999_999)).status());
    assertEquals(
        400,
        proposer
            .api()
            .post(
                PROPOSALS,
                Api.body(
                    "library",
                    library,
                    "reason",
                    " ",
                    "changes",
                    List.of(change(Draft.mill(code, "12")))))
            .status());
    for (String role : List.of("OPERATOR", "VISITOR")) {
      assertEquals(
          403,
          as(role)
              .post(PROPOSALS, Api.body("library", library, "reason", "x", "changes", List.of()))
              .status());
    }
    long id = id(propose(change(Draft.mill(code, "12"))));
    assertEquals(400, answer(lead, id, "", Api.body("place", 7)).status());
    assertEquals("OPEN", listed(lead, id).get("state").asString());
  }
}
