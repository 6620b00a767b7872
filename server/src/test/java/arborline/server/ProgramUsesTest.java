package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** What programs of a machine do with a tool decides which of its values a table needs. */
class ProgramUsesTest extends ControlTest {

  private static final String JOBS = "/api/v1/jobs";
  private static final ControlSubject X1 = ControlSubject.X1;

  private long job;

  @AfterEach
  void noJob() {
    if (job != 0) {
      assertEquals(200, lead.send("DELETE", JOBS + "/" + job, null).status());
    }
  }

  private Object order(List<String> uses) {
    return Api.body(
        "name",
        "Gauge block for X1",
        "machine",
        "X1",
        "tools",
        List.of(
            Api.body(
                "toolId",
                jdbc.sql("select tool_id from plan_place where machine_id = 'X1'")
                    .query(Long.class)
                    .single(),
                "uses",
                uses)));
  }

  private Api.Answer made(List<String> uses) {
    Api.Answer made = lead.post(JOBS, Api.body("job", order(uses)));
    if (made.status() == 201) {
      job = made.number("id");
    }
    return made;
  }

  private Api.Answer change(List<String> uses) {
    int version = lead.get(JOBS + "/" + job).at("version").asInt();
    return lead.send("PUT", JOBS + "/%d?version=%d".formatted(job, version), order(uses));
  }

  private void withoutDiameter() throws IOException {
    alone(X1);
    clear(X1, X1.place);
    Map<String, String> sizes = measured(X1, X1.otherPlace);
    sizes.remove("diameter");
    plan(X1, X1.otherPlace, X1.otherCode, sizes);
  }

  private String why() {
    return row(X1.otherPlace, compare(X1)).get("why").asString();
  }

  private JsonNode called() {
    return lead.get(JOBS + "/" + job).at("tools").get(0);
  }

  @Test
  void aDiameterMayStayNotMeasuredWhereNoProgramKeepsOffByIt() throws IOException {
    withoutDiameter();
    assertEquals("not-measured", why());
    assertEquals(201, made(List.of("plain moves", "drilling cycles")).status());
    assertNotEquals("not-measured", why());
    assertEquals(200, change(List.of("radius compensation")).status());
    assertEquals("not-measured", why());
    assertEquals(200, change(List.of()).status());
    assertEquals("not-measured", why(), "what is usual of a mill");
  }

  /** Whatever else a program does with a tool, it moves it. */
  @Test
  void noUseLetsALengthStayNotMeasured() throws IOException {
    alone(X1);
    clear(X1, X1.place);
    Map<String, String> sizes = measured(X1, X1.otherPlace);
    sizes.remove("length");
    plan(X1, X1.otherPlace, X1.otherCode, sizes);
    assertEquals(201, made(List.of("radius compensation")).status());
    assertEquals("not-measured", why());
    assertEquals("[\"plain moves\",\"radius compensation\"]", called().get("uses").toString());
  }

  /** With the job that says so, for this tool and not for all of its class. */
  @Test
  void everyToolOfTheControlSaysWhatItsValuesAreNeededFor() throws IOException {
    alone(X1);
    made(List.of("plain moves"));
    compare(X1);
    JsonNode needed = null;
    for (JsonNode tool : lead.get("/api/v1/machines/X1/table/tools").at("items")) {
      needed = tool.get("place").asString().equals(X1.place) ? tool.get("neededFor") : needed;
    }
    assertEquals("{\"length\":\"plain moves in Gauge block for X1\"}", needed.toString());
  }

  @Test
  void whatAJobSaysIsKeptAndTakenBack() throws IOException {
    withoutDiameter();
    made(List.of("tapping", "plain moves"));
    assertEquals("[\"plain moves\",\"tapping\"]", called().get("uses").toString());
    assertEquals("[\"plain moves\",\"radius compensation\"]", called().get("usualUses").toString());
    Api.Answer changed = change(List.of("plain moves"));
    assertEquals("[\"plain moves\"]", called().get("uses").toString());
    assertEquals(
        204, lead.post("/api/v1/trail/%d/undo".formatted(changed.number("undo")), null).status());
    assertEquals("[\"plain moves\",\"tapping\"]", called().get("uses").toString());
  }

  @Test
  void aUseThatNobodyKnowsIsRefused() throws IOException {
    withoutDiameter();
    Api.Answer refused = made(List.of("plain moves", "juggling"));
    assertEquals(400, refused.status());
    assertTrue(refused.text("detail").contains("radius compensation"), refused.text("detail"));
  }
}
