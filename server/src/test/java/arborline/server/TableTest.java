package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Map;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.web.client.RestClient;
import tools.jackson.databind.JsonNode;

class TableTest extends ServerTest {

  private static final String M1 = "/api/v1/machines/M1";

  private final RestClient shop = RestClient.create(Api.SHOP + "/m1");
  private long[] tools;

  @BeforeEach
  void freshControlAndPlan() {
    shop.post().uri("/forget").retrieve().toBodilessEntity();
    jdbc.sql("delete from plan_place").update();
    jdbc.sql("delete from agreed_place").update();
    tools = new long[] {tool("MC-FE06", 4), tool("MC-FE12", 7), tool("MC-FE16", 8)};
  }

  /** A mill of the given code, as the stand-in control knows it. */
  private long tool(String code, int number) {
    var known =
        jdbc.sql("select id from tool where code_key = ?").param(code).query(Long.class).optional();
    if (known.isPresent()) {
      return known.get();
    }
    long library =
        StreamSupport.stream(lead.get("/api/v1/libraries").at("items").spliterator(), false)
            .filter(each -> each.get("name").asString().equals("Tables"))
            .map(each -> each.get("id").asLong())
            .findFirst()
            .orElseGet(() -> library("Tables"));
    long delivery =
        lead.deliver(
            code,
            "CODE,NAME,CLASS,NUMBER,DC [mm],APMX [mm],DMM [mm],OAL [mm],NOF\n"
                + "%s,FLAT END MILL,end-mill-flat,%d,6,13,6,57,4\n".formatted(code, number));
    lead.post(
        "/api/v1/deliveries/%d/accept".formatted(delivery),
        Api.body("library", library, "numbering", "keep"));
    return jdbc.sql("select id from tool where code_key = ?")
        .param(code)
        .query(Long.class)
        .single();
  }

  private Api.Answer plan(int pocket, long tool, String length) {
    return lead.send("PUT", M1 + "/plan/" + pocket, Api.body("toolId", tool, "length", length));
  }

  private void behave(String json) {
    shop.put()
        .uri("/behaviour")
        .contentType(org.springframework.http.MediaType.APPLICATION_JSON)
        .body(json)
        .retrieve()
        .toBodilessEntity();
  }

  private static JsonNode row(Api.Answer report, String place) {
    return StreamSupport.stream(report.at("items").spliterator(), false)
        .filter(each -> each.get("place").asString().equals(place))
        .findFirst()
        .orElseThrow();
  }

  private Api.Answer compare() {
    return lead.get(M1 + "/reconciliation");
  }

  private Api.Answer apply(Api.Answer report, Map<String, Object> decisions) {
    return lead.post(
        M1 + "/reconciliation/apply",
        Api.body("read", report.number("read"), "decisions", decisions));
  }

  private static List<String> list(Api.Answer answer, String name) {
    return StreamSupport.stream(answer.at(name).spliterator(), false)
        .map(JsonNode::asString)
        .toList();
  }

  @Test
  void tableIsReadWithOffsetsWearAndSpindle() {
    Api.Answer table = lead.get(M1 + "/table");
    assertEquals(14, table.at("items").size());
    JsonNode first = table.at("items").get(0);
    assertEquals("98.214", first.at("/fields/length").asString());
    assertTrue(table.body().toString().contains("\"place\":\"SPINDLE\""));
  }

  @Test
  void sentToolIsWrittenReadBackAndInStep() {
    plan(21, tools[2], "138.02");
    Api.Answer report = compare();
    assertEquals("send", row(report, "21").get("suggested").asString());
    Api.Answer dry =
        lead.post(
            M1 + "/reconciliation/dry-run",
            Api.body("read", report.number("read"), "decisions", Api.body("21", "send")));
    String program = dry.at("files").get(0).get("content").asString();
    assertTrue(program.contains("R138.02\n"), program);
    Api.Answer applied = apply(report, Api.body("21", "send"));
    assertEquals("in step", applied.text("state"));
    assertEquals(List.of("21"), list(applied, "written"));
    assertEquals("in step", row(compare(), "21").get("state").asString());
  }

  @Test
  void takenValueGoesIntoThePlanAndNothingIsWritten() {
    plan(1, tools[0], "98.2");
    Api.Answer applied = apply(compare(), Api.body("1", "take"));
    assertEquals(List.of(), list(applied, "written"));
    assertEquals("98.214", lead.get(M1).at("plan").get(0).get("length").asString());
    assertEquals("in step", row(compare(), "1").get("state").asString());
  }

  @Test
  void controlChangedMeanwhileIsNotWritten() {
    plan(21, tools[2], "138.02");
    Api.Answer report = compare();
    shop.post()
        .uri("/operator")
        .body("{\"list\":10,\"number\":4,\"value\":98.5}")
        .retrieve()
        .toBodilessEntity();
    Api.Answer refused = apply(report, Api.body("21", "send"));
    assertEquals(409, refused.status());
    assertEquals(
        "pocket 1: length was 98.214, now 98.500", refused.at("details").get(0).asString());
    assertFalse(lead.get(M1 + "/table").body().toString().contains("MC-FE16"));
  }

  @Test
  void connectionCutAfterSomeRowsIsKnownAndFinishedByRunningAgain() {
    plan(21, tools[2], "138.02");
    plan(22, tools[1], "128.6");
    Api.Answer report = compare();
    behave("{\"cutAfterRows\":9}");
    Api.Answer cut = apply(report, Api.body("21", "send", "22", "send"));
    assertEquals("interrupted", cut.text("state"));
    assertEquals(List.of("21"), list(cut, "written"));
    assertEquals(List.of("22"), list(cut, "notWritten"));
    Api.Answer again = apply(compare(), Api.body("22", "send"));
    assertEquals("in step", again.text("state"));
    Api.Answer end = compare();
    assertEquals("in step", row(end, "21").get("state").asString());
    assertEquals("in step", row(end, "22").get("state").asString());
  }

  @Test
  void refusedRegisterAndProtectedMemoryAreToldInTheControlsWords() {
    plan(21, tools[2], "138.02");
    for (String bad : List.of("{\"refuseRegister\":8}", "{\"protectedMemory\":true}")) {
      Api.Answer report = compare();
      behave(bad);
      Api.Answer refused = apply(report, Api.body("21", "send"));
      assertEquals("interrupted", refused.text("state"));
      assertTrue(refused.text("problem").startsWith("ALARM"), refused.text("problem"));
      behave("{}");
    }
  }

  @Test
  void silentControlIsSaidAndNothingElseSuffers() {
    behave("{\"offline\":true}");
    Api.Answer refused = compare();
    assertEquals(502, refused.status());
    assertTrue(refused.text("detail").contains("M1 Heron cannot be read"));
    behave("{}");
    assertEquals(200, lead.get(M1).status());
  }

  @Test
  void unknownToolCannotBeTaken() {
    Api.Answer report = compare();
    assertEquals("unknown tool", row(report, "15").get("state").asString());
    Api.Answer refused = apply(report, Api.body("15", "take"));
    assertEquals(400, refused.status());
    assertTrue(refused.text("detail").contains("OLD-17"));
    assertEquals(400, apply(report, Api.body("15", "throw")).status());
    assertEquals(400, apply(report, Api.body("99", "send")).status());
  }

  @Test
  void planRefusesWhatDoesNotFitAndCanBeTakenBack() {
    assertEquals(409, plan(41, tools[0], null).status());
    assertEquals(400, plan(5, tools[0], "long").status());
    assertEquals(400, plan(5, tools[0], "-1").status());
    long undo = plan(5, tools[0], "98,2").number("undo");
    assertEquals(1, lead.get(M1).at("plan").size());
    assertEquals(204, lead.post("/api/v1/trail/%d/undo".formatted(undo), null).status());
    assertEquals(0, lead.get(M1).at("plan").size());
  }

  @Test
  void onlyWhoLoadsMayWrite() {
    assertEquals(403, as("PROGRAMMER").post(M1 + "/reconciliation/apply", Api.body()).status());
    assertEquals(
        403, as("OPERATOR").send("PUT", M1 + "/plan/5", Api.body("toolId", tools[0])).status());
    assertEquals(200, as("VISITOR").get(M1 + "/reconciliation").status());
  }
}
