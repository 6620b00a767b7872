package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.util.List;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.http.MediaType;
import org.springframework.web.client.RestClient;
import tools.jackson.databind.JsonNode;

/** All tools that a control knows, drafts of those that only it knows, and rules of a machine. */
class ControlToolsTest extends ControlTest {

  private static final String X1 = "/api/v1/machines/X1";
  private static final String M3 = "/api/v1/machines/M3";

  @BeforeEach
  void asTheyWereDelivered() {
    for (String machine : List.of("x1", "m3", "l1")) {
      shop(machine, "PUT", "/behaviour", "{}");
      shop(machine, "POST", "/forget", "");
    }
    jdbc.sql("delete from table_rule").update();
  }

  private static void shop(String machine, String method, String path, String body) {
    RestClient.create(Api.SHOP + "/" + machine)
        .method(org.springframework.http.HttpMethod.valueOf(method))
        .uri(path)
        .contentType(MediaType.APPLICATION_JSON)
        .body(body)
        .retrieve()
        .toBodilessEntity();
  }

  private Api.Answer tools(String machine) {
    assertEquals(200, lead.get(machine + "/reconciliation").status());
    Api.Answer tools = lead.get(machine + "/table/tools");
    assertEquals(200, tools.status(), tools.body().toString());
    return tools;
  }

  private static JsonNode tool(Api.Answer tools, String place) {
    return find(tools.at("items"), "place", place);
  }

  private static JsonNode find(JsonNode nodes, String member, String value) {
    return StreamSupport.stream(nodes.spliterator(), false)
        .filter(node -> node.get(member).asString().equals(value))
        .findFirst()
        .orElseThrow(() -> new AssertionError("no " + value + " in " + nodes));
  }

  private static List<String> titles(Api.Answer tools, String classId) {
    return StreamSupport.stream(
            find(tools.at("classes"), "id", classId).get("columns").spliterator(), false)
        .map(column -> column.get("title").asString())
        .toList();
  }

  @Test
  void everyClassHasItsOwnNumbersAndSaysWhatTheyAre() {
    Api.Answer tools = tools(X1);
    JsonNode mill = tool(tools, "20");
    assertEquals("MM-BL04", mill.get("code").asString());
    assertEquals(
        List.of("length", "diameter"), titles(tools, mill.get("classId").asString()).subList(0, 2));
    String turning = tool(tools, "L4").get("classId").asString();
    List<String> columns = titles(tools, turning);
    assertEquals(
        List.of("X as a diameter", "Z", "nose radius", "tip orientation"), columns.subList(0, 4));
    JsonNode nose =
        find(find(tools.at("classes"), "id", turning).get("columns"), "title", "nose radius");
    assertTrue(
        tool(tools, "L4")
            .get("neededFor")
            .get("noseRadius")
            .asString()
            .startsWith("radius compensation"),
        tools.body().toString());
    assertEquals("mm", nose.get("unit").asString());
    assertEquals("noseRadiusWear", nose.get("wear").asString());
    assertEquals("of the corner that cuts", nose.get("meaning").asString());
  }

  @Test
  void toolsWithoutAPlaceAndInTheSpindleAreThere() {
    shop("m3", "POST", "/operator", "{\"tool\":\"MM-BL03|1\",\"place\":\"\"}");
    shop("m3", "POST", "/operator", "{\"tool\":\"MM-BL04|1\",\"place\":\"SPINDLE\"}");
    Api.Answer tools = tools(M3);
    assertEquals("MM-BL03", tool(tools, "").get("code").asString());
    assertTrue(tool(tools, "").get("state").isNull(), "it is in no place that could differ");
    assertEquals("MM-BL04", tool(tools, "spindle").get("code").asString());
  }

  @Test
  void numbersAreMappedBothWays() {
    Api.Answer tools = tools("/api/v1/machines/L1");
    assertEquals("program-numbers", tools.text("scheme"));
    JsonNode first = tools.at("byPlace").get(0);
    JsonNode same = find(tools.at("byNumber"), "firstPlace", first.get("firstPlace").asString());
    assertEquals(first, same);
    assertTrue(first.get("firstNumber").asInt() >= 601, first.toString());
  }

  /** The control's name for it is not in any library; nothing of what it knows is lost. */
  @Test
  void aToolThatOnlyTheControlKnowsIsADraft() {
    Api.Answer tools = tools(X1);
    assertEquals("", tool(tools, "30").get("classId").asString());
    assertEquals("unknown tool", tool(tools, "30").get("state").asString());
    assertTrue(tool(tools, "30").get("toolId").isNull());
    String length = tool(tools, "30").get("values").get("length").asString();
    String path = X1 + "/table/draft?code=KT-STYLUS6";
    Api.Answer draft = lead.get(path + "&toolClass=probe-touch");
    assertEquals(200, draft.status(), draft.body().toString());
    assertEquals("KT-STYLUS6", draft.text("code"));
    assertEquals("probe-touch", draft.text("classId"));
    assertTrue(
        draft.at("notes").get("").asString().contains("length %s mm".formatted(length)),
        draft.body().toString());
    assertEquals("end-mill-flat", lead.get(path).text("classId"));
    assertTrue(lead.get(path).at("values").has("DC"), "its diameter is the tool's own");
  }

  @Test
  void whatTheControlDoesNotHaveIsRefused() {
    tools(X1);
    assertEquals(404, lead.get(X1 + "/table/draft?code=NOBODYS").status());
    assertEquals(400, lead.get(X1 + "/table/draft?code=MM-BL04&toolClass=spoon").status());
  }

  private Api.Answer rule(Api as, String question, Object decision) {
    return as.send("PUT", X1 + "/table/rules/" + question, Api.body("decision", decision));
  }

  /** A tool was taken out of the plan and is still at the control: what of it? */
  private JsonNode asked() throws IOException {
    alone(ControlSubject.X1);
    clear(ControlSubject.X1, ControlSubject.X1.place);
    return row();
  }

  private JsonNode row() {
    return row(ControlSubject.X1, compare(ControlSubject.X1));
  }

  @Test
  void whatIsDecidedOnceForAllIsSuggestedUntilItIsRevoked() throws IOException {
    JsonNode asked = asked();
    assertEquals("plan-cleared", asked.get("why").asString());
    assertEquals("ask", asked.get("suggested").asString());
    assertEquals("[\"take\"]", asked.get("rules").toString());
    Api.Answer made = rule(lead, "plan-cleared", "take");
    assertEquals(200, made.status(), made.body().toString());
    assertEquals("take", row().get("suggested").asString());
    assertTrue(row().get("ruled").asBoolean());
    JsonNode shown = lead.get(X1 + "/table/rules").at("items").get(0);
    assertEquals("take", shown.get("decision").asString());
    assertFalse(shown.get("by").asString().isEmpty());
    assertEquals(409, rule(lead, "plan-cleared", "take").status());
    assertEquals(200, lead.send("DELETE", X1 + "/table/rules/plan-cleared", null).status());
    assertEquals("ask", row().get("suggested").asString());
    assertEquals(409, lead.send("DELETE", X1 + "/table/rules/plan-cleared", null).status());
  }

  @Test
  void aRuleCanBeTakenBack() throws IOException {
    asked();
    Api.Answer made = rule(lead, "plan-cleared", "take");
    assertEquals(
        204, lead.post("/api/v1/trail/%d/undo".formatted(made.number("undo")), null).status());
    assertEquals(0, lead.get(X1 + "/table/rules").at("items").size());
    assertEquals("ask", row().get("suggested").asString());
  }

  @Test
  void whatOnlyALookCanTellIsNoRule() {
    assertEquals(400, rule(lead, "unknown-tool", "send").status());
    assertEquals(400, rule(lead, "gone-from-control", "leave").status());
    assertEquals(400, rule(lead, "gone-from-control", null).status());
    assertEquals(400, rule(lead, "gone-from-control", "guess").status());
    assertEquals(404, rule(lead, "anything", "send").status());
    assertEquals(404, lead.send("DELETE", X1 + "/table/rules/anything", null).status());
  }
}
