package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.http.MediaType;
import org.springframework.web.client.RestClient;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * A control of registers, which exchanges files in folders: inches, radii, number and pocket one.
 */
class RegisterTableTest extends ServerTest {

  private static final String M2 = "/api/v1/machines/M2";
  private static final Path IN = Api.STATES.resolve("folders/m2/in");

  private final RestClient shop = RestClient.create(Api.SHOP + "/m2");
  private long mill;

  @BeforeEach
  void freshControlAndPlan() {
    shop.post().uri("/forget").retrieve().toBodilessEntity();
    jdbc.sql("delete from plan_place where machine_id = 'M2'").update();
    jdbc.sql("delete from agreed_place where machine_id = 'M2'").update();
    jdbc.sql("delete from table_claim").update();
    mill = mill();
    plan(17, mill, "120", "12");
  }

  private long mill() {
    return jdbc.sql("select id from tool where code_key = 'RT-FE12'")
        .query(Long.class)
        .optional()
        .orElseGet(() -> {
          long library = library("Registers");
          long delivery =
              lead.deliver(
                  "RT-FE12",
                  "CODE,NAME,CLASS,NUMBER,DC [mm],APMX [mm],DMM [mm],OAL [mm],NOF\n"
                      + "RT-FE12,FLAT END MILL,end-mill-flat,5,12,26,12,83,4\n");
          lead.post(
              "/api/v1/deliveries/%d/accept".formatted(delivery),
              Api.body("library", library, "numbering", "keep"));
          return jdbc.sql("select id from tool where code_key = 'RT-FE12'")
              .query(Long.class)
              .single();
        });
  }

  private void plan(int pocket, long tool, String length, String diameter) {
    Api.Answer planned =
        lead.send(
            "PUT",
            M2 + "/plan/" + pocket,
            Api.body("toolId", tool, "length", length, "diameter", diameter, "allow", true));
    assertEquals(200, planned.status(), planned.body().toString());
  }

  private void behave(String json) {
    shop.put()
        .uri("/behaviour")
        .contentType(MediaType.APPLICATION_JSON)
        .body(json)
        .retrieve()
        .toBodilessEntity();
  }

  private void operator(String json) {
    shop.post().uri("/operator").body(json).retrieve().toBodilessEntity();
  }

  private Api.Answer compare() {
    return lead.get(M2 + "/reconciliation");
  }

  private static JsonNode row(Api.Answer compared, String place) {
    return StreamSupport.stream(compared.at("items").spliterator(), false)
        .filter(row -> row.get("place").asString().equals(place))
        .findFirst()
        .orElseThrow();
  }

  private Api.Answer apply(Api.Answer compared, Map<String, String> decisions) {
    return lead.post(
        M2 + "/reconciliation/apply",
        Api.body("read", compared.number("read"), "decisions", decisions));
  }

  /** 120 mm are 4.7244 in; half of 12 mm are 0.2362 in. */
  @Test
  void aPlannedToolGoesIntoItsRegistersAndIsProved() {
    Api.Answer compared = compare();
    assertEquals(200, compared.status(), compared.body().toString());
    assertEquals("new-in-plan", row(compared, "17").get("why").asString());
    Api.Answer dry =
        lead.post(
            M2 + "/reconciliation/dry-run",
            Api.body("read", compared.number("read"), "decisions", Map.of("17", "send")));
    String text = dry.at("files").get(0).get("content").asString();
    assertTrue(text.startsWith("TOOLDATA INCH  24\r\n"), text);
    assertTrue(text.contains("\r\n 17 H   4.7244 R   0.2362\r\n"), text);
    Api.Answer applied = apply(compared, Map.of("17", "send"));
    assertEquals("in step", applied.text("state"), applied.body().toString());
    Api.Answer after = compare();
    assertEquals("within-resolution", row(after, "17").get("why").asString());
    assertEquals(6, after.number("differ"), "what was keyed in before anybody planned it");
    assertEquals("0.2362", row(after, "17").get("control").get("diameter").asString());
    assertEquals("in", after.text("unit"));
    assertEquals("pocket", after.text("placeWord"));
  }

  @Test
  void whatTheOperatorKeyedInIsTakenAndADiameterInARadiusRegisterIsAsked() {
    apply(compare(), Map.of("17", "send"));
    operator("{\"number\":17,\"length\":4.7250}");
    Api.Answer longer = compare();
    assertTrue(row(longer, "17").get("held").asBoolean());
    assertFalse(row(longer, "18").get("held").asBoolean());
    assertEquals("measured-at-control", row(longer, "17").get("why").asString());
    assertEquals("in step", apply(longer, Map.of("17", "take")).text("state"));
    assertEquals("120.015", row(compare(), "17").get("plan").get("length").asString(), "4.7250 in");
    operator("{\"number\":17,\"radius\":0.4724}");
    JsonNode wide = row(compare(), "17");
    assertEquals("diameter-in-radius-register", wide.get("why").asString());
    JsonNode diameter = wide.get("fields").get(0);
    assertEquals("radius", diameter.get("controlTitle").asString());
    assertEquals("12", diameter.get("plan").asString(), "mm");
    assertEquals("0.2362", diameter.get("planShown").asString(), "in, of the radius");
  }

  /** As after a change of the definition: what was read before is not compared any more. */
  @Test
  void withoutADialectNothingIsComparedOrSent() {
    Api.Answer compared = compare();
    Api.Answer machine = lead.get(M2);
    ObjectNode wanted = (ObjectNode) machine.at("machine").deepCopy();
    ((ObjectNode) wanted.get("habits")).put("dialect", "");
    Api.Answer changed =
        lead.send(
            "PUT", M2 + "/definition", Api.body("base", machine.at("machine"), "wanted", wanted));
    assertEquals(200, changed.status(), changed.body().toString());
    try {
      assertEquals(200, lead.get(M2 + "/reconciliation?fresh=false").status());
      assertEquals(409, compare().status());
      assertEquals(409, apply(compared, Map.of("17", "send")).status());
      Api.Answer dry =
          lead.post(
              M2 + "/reconciliation/dry-run",
              Api.body("read", compared.number("read"), "decisions", Map.of("17", "send")));
      assertEquals(409, dry.status());
      assertTrue(dry.text("detail").contains("the dialect ''"), dry.text("detail"));
    } finally {
      lead.post("/api/v1/trail/%d/undo".formatted(changed.number("undo")), null);
    }
    assertEquals(200, compare().status());
  }

  @Test
  void whoChangedItMeanwhileIsNotOverwritten() {
    Api.Answer compared = compare();
    operator("{\"number\":21,\"length\":3.1}");
    Api.Answer refused = apply(compared, Map.of("17", "send"));
    assertEquals(409, refused.status());
    assertTrue(refused.body().toString().contains("pocket 21"), refused.body().toString());
    assertTrue(compare().body().toString().contains("3.1000"));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "{\"offline\":true} | it punched nothing out within 3 seconds",
        "{\"garbage\":true} | does not begin with TOOLDATA",
        "{\"halfFile\":true} | it is not whole",
      })
  void whatCannotBeReadIsSaidAndWritesNothing(String behaviour, String reason) throws IOException {
    Api.Answer compared = compare();
    behave(behaviour);
    Api.Answer refused = compare();
    assertEquals(502, refused.status());
    assertTrue(refused.text("detail").contains(reason), refused.text("detail"));
    assertEquals(502, apply(compared, Map.of("17", "send")).status());
    try (var left = Files.list(IN)) {
      assertEquals(List.of(), left.toList(), "nothing waits there to be picked up later");
    }
    behave("{}");
    assertEquals("in step", apply(compare(), Map.of("17", "send")).text("state"));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "{\"refuseRegister\":17} | ALARM 032: register 17 is locked",
        "{\"protectedMemory\":true} | ALARM 070: memory protect key is on",
        "{\"cutAfterRows\":0} | it took the file and did not acknowledge it within 3 seconds",
      })
  void whatIsNotTakenIsSaidAndDoingItAgainEndsInStep(String behaviour, String problem) {
    Api.Answer compared = compare();
    behave(behaviour);
    Api.Answer interrupted = apply(compared, Map.of("17", "send"));
    assertEquals("interrupted", interrupted.text("state"), interrupted.body().toString());
    assertEquals(problem, interrupted.text("problem"));
    assertEquals("17", interrupted.at("notWritten").get(0).asString());
    behave("{}");
    assertEquals("in step", apply(compare(), Map.of("17", "send")).text("state"));
  }

  /** The first of two rows stays changed; which, is read back and said. */
  @Test
  void whatWasWrittenBeforeACutIsKnown() {
    jdbc.sql("delete from plan_place where machine_id = 'M2'").update();
    plan(19, mill, "110", "12");
    apply(compare(), Map.of("19", "send"));
    jdbc.sql("delete from plan_place where machine_id = 'M2'").update();
    plan(17, mill, "120", "12");
    Api.Answer compared = compare();
    assertEquals("planned-change", row(compared, "17").get("why").asString());
    behave("{\"cutAfterRows\":1}");
    Api.Answer cut = apply(compared, Map.of("17", "send", "19", "send"));
    assertEquals("interrupted", cut.text("state"));
    assertEquals("[\"17\"]", cut.at("written").toString());
    assertEquals("[\"19\"]", cut.at("notWritten").toString());
    Api.Answer after = compare();
    assertFalse(row(after, "19").get("state").asString().equals("in step"));
    assertEquals("in step", apply(after, Map.of("19", "send")).text("state"));
    assertEquals(6, compare().number("differ"), "what was keyed in before anybody planned it");
  }
}
