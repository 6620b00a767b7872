package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** What a shop decides of standings and plans, and tools that are not finished. */
class ShopRulesTest extends ServerTest {

  private long library;
  private String code;

  @BeforeEach
  void aLibrary() {
    library = library("Rules " + System.nanoTime());
    code = "RU-" + library;
    decide("unreleased", false);
  }

  @AfterEach
  void asItWas() {
    decide(
        "unreleased",
        true,
        "standings",
        List.of(Api.body("standing", "RELEASED", "roles", List.of("PROGRAMMER"))));
  }

  private Api.Answer decide(Object... order) {
    var body = Api.body(order);
    body.put("version", lead.get("/api/v1/shop/rules").number("version"));
    Api.Answer decided = lead.send("PUT", "/api/v1/shop/rules", body);
    assertEquals(200, decided.status(), decided.body().toString());
    return decided;
  }

  private long add() {
    return lead.post("/api/v1/libraries/%d/tools".formatted(library), Draft.mill(code, "10"))
        .number("toolId");
  }

  private Api.Answer stand(Api who, long tool, String standing) {
    return who.post(
        "/api/v1/tools/standing", Api.body("tools", List.of(tool), "standing", standing));
  }

  private Api.Answer plan(Api who, long tool, Object... more) {
    var body = Api.body("toolId", tool);
    body.putAll(Api.body(more));
    return who.send("PUT", "/api/v1/machines/M1/plan/%d".formatted(free()), body);
  }

  private int free() {
    JsonNode plan = lead.get("/api/v1/machines/M1").at("plan");
    List<String> taken = plan.valueStream().map(one -> one.get("place").asString()).toList();
    for (int place = 25; ; place++) {
      if (!taken.contains(Integer.toString(place))) {
        return place;
      }
    }
  }

  @Test
  void onlyReleasedToolsArePlannedUnlessTheLeadAllowsIt() {
    long tool = add();
    Api.Answer refused = plan(as("TOOLROOM"), tool);
    assertEquals(409, refused.status());
    assertTrue(refused.text("detail").contains("ask the lead"), refused.text("detail"));
    assertEquals(403, plan(as("TOOLROOM"), tool, "allow", true).status());
    assertEquals(409, plan(lead, tool).status());
    Api.Answer allowed = plan(lead, tool, "allow", true);
    assertEquals(200, allowed.status(), allowed.body().toString());
    String trail = lead.get("/api/v1/trail?limit=1").at("items").get(0).get("text").asString();
    assertTrue(trail.contains(code) && trail.endsWith("which is a draft, and allowed it"), trail);
    lead.post("/api/v1/trail/%d/undo".formatted(allowed.number("undo")), null);
    stand(lead, tool, "RELEASED");
    Api.Answer released = plan(as("TOOLROOM"), tool);
    assertEquals(200, released.status(), released.body().toString());
    lead.post("/api/v1/trail/%d/undo".formatted(released.number("undo")), null);
    stand(lead, tool, "RETIRED");
    assertEquals(409, plan(as("TOOLROOM"), tool).status());
  }

  @Test
  void aLoadTakesInWhatTheLeadAllows() {
    long tool = add();
    var order = Api.body("wanted", List.of(Api.body("toolId", tool, "libraryId", library)));
    String load = "/api/v1/machines/M3/load";
    Api.Answer refused = lead.post(load + "/plan", order);
    assertEquals(List.of(code), leftOut(refused));
    order.put("allow", true);
    assertEquals(List.of(code), leftOut(as("TOOLROOM").post(load + "/plan", order)));
    Api.Answer planned = lead.post(load + "/plan", order);
    assertEquals(List.of(), leftOut(planned), planned.toString());
    var taken = Api.body("placement", planned.at("placement"), "stamp", planned.text("stamp"));
    assertEquals(409, lead.send("PUT", load, taken).status());
    taken.put("allow", true);
    assertEquals(403, as("TOOLROOM").send("PUT", load, taken).status());
    Api.Answer done = lead.send("PUT", load, taken);
    assertEquals(200, done.status(), done.toString());
    String trail = lead.get("/api/v1/trail?limit=1").at("items").get(0).get("text").asString();
    assertTrue(trail.endsWith(", and allowed %s, not released".formatted(code)), trail);
    lead.post("/api/v1/trail/%d/undo".formatted(done.number("undo")), null);
  }

  private static List<String> leftOut(Api.Answer planned) {
    return planned.at("leftOut").valueStream().map(JsonNode::asString).toList();
  }

  @Test
  void whoReleasesToolsIsDecidedByTheLeadAndTakenBack() {
    long tool = add();
    decide("standings", List.of(Api.body("standing", "RELEASED", "roles", List.of())));
    Api.Answer refused = stand(as("PROGRAMMER"), tool, "RELEASED");
    assertEquals(403, refused.status());
    assertTrue(refused.text("detail").contains("released only by the lead"));
    assertEquals(200, stand(as("PROGRAMMER"), tool, "CHECKED").status());
    assertEquals(200, stand(lead, tool, "RELEASED").status());
    long line =
        lead.get("/api/v1/trail?limit=20")
            .at("items")
            .valueStream()
            .filter(one -> one.get("text").asString().startsWith("decided that"))
            .findFirst()
            .orElseThrow()
            .get("id")
            .asLong();
    assertEquals(204, lead.post("/api/v1/trail/%d/undo".formatted(line), null).status());
    assertEquals(200, stand(as("PROGRAMMER"), tool, "CHECKED").status());
    assertEquals(200, stand(as("PROGRAMMER"), tool, "RELEASED").status());
  }

  @Test
  void wrongDecisionsAreRefusedAndNobodyOverwritesUnseen() {
    assertEquals(
        403, as("PROGRAMMER").send("PUT", "/api/v1/shop/rules", Api.body("version", 1)).status());
    assertEquals(400, lead.send("PUT", "/api/v1/shop/rules", Api.body()).status());
    assertEquals(409, lead.send("PUT", "/api/v1/shop/rules", Api.body("version", 0)).status());
    Object odd = Api.body("standing", "RELEASED", "roles", List.of("VISITOR"));
    assertEquals(
        400,
        lead.send("PUT", "/api/v1/shop/rules", Api.body("version", 1, "standings", List.of(odd)))
            .status());
  }

  @Test
  void aDraftMayLackSomethingStaysADraftAndIsNotPlanned() {
    var unfinished = Draft.of(code, "Mill", "end-mill-flat", "NOF=4");
    Api.Answer whole = lead.post("/api/v1/libraries/%d/tools".formatted(library), unfinished);
    assertEquals(409, whole.status());
    Api.Answer made =
        lead.post("/api/v1/libraries/%d/tools?incomplete=true".formatted(library), unfinished);
    assertEquals(201, made.status(), made.body().toString());
    long tool = made.number("toolId");
    Api.Answer sheet = lead.get("/api/v1/tools/" + tool);
    assertTrue(
        sheet.at("answer").get("findings").toString().contains("missing.DC"),
        sheet.at("answer").get("findings").toString());
    assertEquals(
        1, lead.get("/api/v1/libraries/%d/tools?trust=true".formatted(library)).at("items").size());
    Api.Answer refused = stand(lead, tool, "RELEASED");
    assertEquals(409, refused.status());
    assertTrue(refused.text("detail").contains("stays a draft"), refused.text("detail"));
    assertEquals(409, plan(lead, tool, "allow", true).status());
    var more = Draft.of(code, "Mill", "end-mill-flat", "NOF=3");
    assertEquals(
        409, lead.send("PUT", "/api/v1/tools/%d?version=1".formatted(tool), more).status());
    assertEquals(
        200,
        lead.send("PUT", "/api/v1/tools/%d?version=1&incomplete=true".formatted(tool), more)
            .status());
    assertEquals(
        200,
        lead.send("PUT", "/api/v1/tools/%d?version=2".formatted(tool), Draft.mill(code, "10"))
            .status());
    assertEquals(200, stand(lead, tool, "RELEASED").status());
    assertEquals(
        409,
        lead.send("PUT", "/api/v1/tools/%d?version=3&incomplete=true".formatted(tool), more)
            .status());
    for (String format : List.of("csv", "json")) {
      assertTrue(
          lead.bytes("/api/v1/libraries/%d/export?format=%s".formatted(library, format)).length
              > 0);
    }
  }

  @Test
  void listsSayWhyToolsCanBeTrusted() {
    long tool = add();
    stand(lead, tool, "RELEASED");
    lead.send("PUT", "/api/v1/tools/%d?version=1".formatted(tool), Draft.mill(code, "12"));
    JsonNode row =
        lead.get("/api/v1/libraries/%d/tools?trust=true".formatted(library)).at("items").get(0);
    JsonNode trust = row.get("trust");
    assertEquals(1, trust.get("later").asInt());
    assertEquals(0, trust.get("proven").asInt());
    assertTrue(trust.get("by").isString());
    assertTrue(
        lead.get("/api/v1/libraries/%d/tools".formatted(library))
            .at("items")
            .get(0)
            .get("trust")
            .isNull());
  }
}
