package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Map;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.web.client.RestClient;
import tools.jackson.databind.JsonNode;

class TableTest extends ServerTest {

  private static final String M1 = "/api/v1/machines/M1";

  private final RestClient shop = RestClient.create(Api.SHOP + "/m1");
  private long[] tools;
  @Autowired com.zaxxer.hikari.HikariDataSource pool;

  @BeforeEach
  void freshControlAndPlan() {
    shop.post().uri("/forget").retrieve().toBodilessEntity();
    jdbc.sql("delete from plan_place").update();
    jdbc.sql("delete from agreed_place").update();
    jdbc.sql("delete from table_claim").update();
    behave("{}");
    tools = new long[] {tool("MC-FE06", 4, 6), tool("MC-FE12", 7, 12), tool("MC-FE16", 8, 16)};
  }

  /** A mill of the given code, as the stand-in control knows it. */
  private long tool(String code, int number, int diameter) {
    var known =
        jdbc.sql("select id from tool where code_key = ?").param(code).query(Long.class).optional();
    if (known.isPresent()) {
      return known.get();
    }
    long library =
        StreamSupport.stream(lead.get("/api/v1/libraries").at("items").spliterator(), false)
            .filter(listed -> listed.get("name").asString().equals("Tables"))
            .map(listed -> listed.get("id").asLong())
            .findFirst()
            .orElseGet(() -> library("Tables"));
    long delivery =
        lead.deliver(
            code,
            "CODE,NAME,CLASS,NUMBER,DC [mm],APMX [mm],DMM [mm],OAL [mm],NOF\n"
                + "%s,FLAT END MILL,end-mill-flat,%d,%d,13,%d,57,4\n"
                    .formatted(code, number, diameter, diameter));
    lead.post(
        "/api/v1/deliveries/%d/accept".formatted(delivery),
        Api.body("library", library, "numbering", "keep"));
    return jdbc.sql("select id from tool where code_key = ?")
        .param(code)
        .query(Long.class)
        .single();
  }

  private Api.Answer plan(int pocket, long tool, String length, String diameter) {
    return lead.send(
        "PUT",
        M1 + "/plan/" + pocket,
        Api.body("toolId", tool, "length", length, "diameter", diameter));
  }

  /** The last writing to the control, as it was recorded. */
  private JsonNode lastWriting() {
    return lead.get(M1 + "/table/writes").at("items").get(0);
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
        .filter(row -> row.get("place").asString().equals(place))
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
    plan(21, tools[2], "138.02", "15.99");
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
    assertTrue(
        lead.get("/api/v1/trail?limit=1")
            .body()
            .toString()
            .contains("1 pocket written, 0 taken, 0 not written"));
  }

  @Test
  void takenValueGoesIntoThePlanAndNothingIsWritten() {
    plan(1, tools[0], "98.2", "5.992");
    Api.Answer applied = apply(compare(), Api.body("1", "take"));
    assertEquals(List.of(), list(applied, "written"));
    assertEquals("98.214", lead.get(M1).at("plan").get(0).get("length").asString());
    assertEquals("renamed-in-plan", row(compare(), "1").get("why").asString());
  }

  @Test
  void controlChangedMeanwhileIsNotWritten() {
    plan(21, tools[2], "138.02", "15.99");
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
    plan(21, tools[2], "138.02", "15.99");
    plan(22, tools[1], "128.6", "11.98");
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
    plan(21, tools[2], "138.02", "15.99");
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
    assertEquals(409, plan(49, tools[0], null, null).status());
    assertEquals(400, plan(5, tools[0], "long", null).status());
    assertEquals(400, plan(5, tools[0], "-1", null).status());
    long undo = plan(5, tools[0], "98,2", null).number("undo");
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

  @Test
  void aNewNumberCarriesItsOffsetsAndIsProvedWhole() {
    plan(21, tools[2], "138.02", "15.99");
    apply(compare(), Api.body("21", "send"));
    assertEquals(
        200,
        lead.send("PUT", M1 + "/numbers", Api.body("places", List.of("21"), "first", 801))
            .status());
    Api.Answer report = compare();
    assertEquals("renumbered-in-plan", row(report, "21").get("why").asString());
    Api.Answer applied = apply(report, Api.body("21", "send"));
    assertEquals("in step", applied.text("state"), applied.toString());
    String program = applied.at("files").get(0).get("content").asString();
    assertTrue(program.contains("G10 L10 P801 R138.02\n"), program);
    assertTrue(program.contains("G10 L12 P801 R15.99\n"), program);
  }

  @Test
  void aSizeThatNobodyMeasuredHoldsItsRowBack() {
    plan(21, tools[2], "138.02", null);
    Api.Answer report = compare();
    assertEquals("not-measured", row(report, "21").get("why").asString());
    Api.Answer refused = apply(report, Api.body("21", "send"));
    assertEquals(400, refused.status());
    assertTrue(refused.text("detail").contains("diameter of MC-FE16 is not measured"));
  }

  @Test
  void aLengthFarFromTheStackIsQuestionedAtEntryAndBeforeSending() {
    Api.Answer put = plan(21, tools[2], "1380.2", "15.99");
    assertTrue(put.at("questions").get(0).asString().contains("far from what is expected"));
    assertEquals("far-from-nominal", row(compare(), "21").get("why").asString());
    assertEquals(400, plan(21, tools[2], "12345678901234567890", null).status());
  }

  @Test
  void aClearedPlanIsNoOrderToClearTheControl() {
    plan(21, tools[2], "138.02", "15.99");
    apply(compare(), Api.body("21", "send"));
    lead.send("DELETE", M1 + "/plan/21", null);
    JsonNode cleared = row(compare(), "21");
    assertEquals("plan-cleared", cleared.get("why").asString());
    assertEquals("ask", cleared.get("suggested").asString());
    Api.Answer nothing =
        lead.post(M1 + "/reconciliation/apply", Api.body("read", compare().number("read")));
    assertEquals(List.of(), list(nothing, "written"));
    Api.Answer answered = apply(compare(), Api.body("21", "send"));
    assertEquals(List.of("21"), list(answered, "written"));
  }

  @Test
  void whatWasSentIsKnownThoughTheControlFellSilentAfterwards() {
    plan(21, tools[2], "138.02", "15.99");
    Api.Answer report = compare();
    behave("{\"silentAfterFiles\":2}");
    Api.Answer applied = apply(report, Api.body("21", "send"));
    behave("{}");
    assertEquals(200, applied.status());
    assertEquals("not read back", applied.text("state"));
    assertEquals(List.of("21"), list(applied, "notWritten"));
    JsonNode writing = lastWriting();
    assertEquals("not read back", writing.get("state").asString());
    assertEquals("taken", writing.get("files").get(1).get("answer").asString());
    assertTrue(lead.get("/api/v1/trail").body().toString().contains("1 not written"));
    assertEquals("in step", row(compare(), "21").get("state").asString());
  }

  @Test
  void aWritingThatDiedIsFoundUnfinishedWithWhatWasSent() {
    jdbc.sql(
            """
            insert into table_write (machine_id, begun_at, written_by, state, content)
            values ('M1', now(6), 'lead', 'sending', '{}')\
            """)
        .update();
    assertEquals("unfinished", lastWriting().get("state").asString());
    claim(60);
    assertEquals("sending", lastWriting().get("state").asString());
    jdbc.sql("delete from table_claim").update();
    plan(21, tools[2], "138.02", "15.99");
    apply(compare(), Api.body("21", "send"));
    JsonNode before = lead.get(M1 + "/table/writes").at("items").get(1);
    assertEquals("unfinished", before.get("state").asString());
    assertEquals("in step", lastWriting().get("state").asString());
    assertEquals("taken", lastWriting().get("files").get(0).get("answer").asString());
  }

  private void claim(int seconds) {
    jdbc.sql("insert into table_claim (machine_id, holder, until) values ('M1', 'x', ?)")
        .param(java.sql.Timestamp.from(java.time.Instant.now().plusSeconds(seconds)))
        .update();
  }

  @Test
  void onlyOneWritesToAControlAtATime() {
    plan(21, tools[2], "138.02", "15.99");
    Api.Answer report = compare();
    claim(60);
    Api.Answer refused = apply(report, Api.body("21", "send"));
    jdbc.sql("delete from table_claim").update();
    assertEquals(409, refused.status());
    assertTrue(refused.text("detail").contains("somebody is writing to this control"));
    assertEquals("in step", apply(report, Api.body("21", "send")).text("state"));
  }

  @Test
  void aSlowControlHoldsNoConnectionOfTheDatabase() throws Exception {
    behave("{\"slowMillis\":1500}");
    try (var readers = java.util.concurrent.Executors.newVirtualThreadPerTaskExecutor()) {
      var answers =
          java.util.stream.IntStream.range(0, 40)
              .mapToObj(reader -> readers.submit(() -> lead.get(M1 + "/table").status()))
              .toList();
      Api.until(() -> pool.getHikariPoolMXBean().getActiveConnections() == 0);
      assertTrue(answers.stream().anyMatch(answer -> !answer.isDone()));
      assertEquals(200, lead.get("/api/v1/libraries").status());
      for (var answer : answers) {
        assertEquals(200, answer.get());
      }
    } finally {
      behave("{}");
    }
  }

  @Test
  void aCodeThatTheControlCannotKeepIsRefusedBeforeTheDryRun() {
    long tool = tool("FRÄS-1", 901, 6);
    plan(30, tool, "98.2", "5.99");
    Api.Answer report = compare();
    assertEquals("not-carried", row(report, "30").get("why").asString());
    Api.Answer dry =
        lead.post(
            M1 + "/reconciliation/dry-run",
            Api.body("read", report.number("read"), "decisions", Api.body("30", "send")));
    assertEquals(400, dry.status());
    assertTrue(dry.text("detail").contains("give it another code"));
  }

  @Test
  void takingAPlanBackAsksWhoIsThereNow() {
    long first = plan(5, tools[0], "98.2", "5.99").number("undo");
    plan(5, tools[1], "128.6", "11.98");
    Api.Answer refused = lead.post("/api/v1/trail/%d/undo".formatted(first), null);
    assertEquals(409, refused.status());
    assertTrue(refused.text("detail").contains("planned anew since"));
    assertEquals("MC-FE12", lead.get(M1).at("plan").get(0).get("code").asString());
  }

  @Test
  void onlyTheLastReadingsAreKeptAndEqualOnesOnce() {
    for (int round = 0; round < 25; round++) {
      shop.post()
          .uri("/operator")
          .body("{\"list\":11,\"number\":4,\"value\":0.%03d}".formatted(round + 1))
          .retrieve()
          .toBodilessEntity();
      lead.get(M1 + "/table");
    }
    long last = lead.get(M1 + "/table").number("read");
    assertEquals(last, lead.get(M1 + "/table").number("read"));
    assertEquals(
        20L,
        jdbc.sql("select count(*) from table_reading where machine_id = 'M1'")
            .query(Long.class)
            .single());
  }
}
