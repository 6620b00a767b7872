package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Cutting data of many tools by a factor. */
class CuttingFactorTest extends ServerTest {

  private static final String BULK = "/api/v1/cutting/bulk";

  private Shelves shelves;

  @BeforeEach
  void shelves() {
    shelves = new Shelves(lead);
  }

  private long line(long tool, String material, String origin) {
    return lead.post(
            "/api/v1/tools/%d/cutting".formatted(tool), Draft.cutting(material, origin, "width", 0))
        .number("id");
  }

  private JsonNode lines(long tool) {
    return lead.get("/api/v1/tools/%d/cutting".formatted(tool)).at("items");
  }

  private static Map<String, Object> order(List<Long> tools, Object... more) {
    Map<String, Object> order = Api.body(more);
    order.put("tools", tools);
    return order;
  }

  @Test
  void speedsAreMultipliedAndProvenOnesStay() {
    List<Long> tools = shelves.mills(shelves.library("Factor: both"), "CFA-1", "CFA-2");
    line(tools.get(0), "p-alloy-annealed", "catalogue");
    long proven = line(tools.get(1), "p-alloy-annealed", "fixed");
    lead.send(
        "PUT",
        "/api/v1/cutting/%d/proven?version=1".formatted(proven),
        Api.body("machine", "M1", "speed", 165, "feed", 0.06));
    Map<String, Object> order = order(tools, "number", "SPEED", "factor", 0.85);
    JsonNode preview = lead.post(BULK + "?preview=true", order).body();
    assertEquals(1, preview.get("changed").asInt(), preview.toString());
    assertEquals("127.5", preview.at("/edited/0/after").asString());
    assertTrue(preview.at("/kept/0/why").asString().contains("proven"));
    assertEquals(150, lines(tools.get(0)).at("/0/speed").asDouble());
    order.put("expected", 2);
    assertEquals(409, lead.post(BULK, order).status());
    order.put("expected", 1);
    Api.Answer done = lead.post(BULK, order);
    assertEquals(127.5, lines(tools.get(0)).at("/0/speed").asDouble());
    assertEquals("calculated", lines(tools.get(0)).at("/0/origin").asString());
    assertEquals(165, lines(tools.get(1)).at("/0/speed").asDouble());
    shelves.undo(done);
    assertEquals(150, lines(tools.get(0)).at("/0/speed").asDouble());
    assertEquals("catalogue", lines(tools.get(0)).at("/0/origin").asString());
  }

  @Test
  void onlyLinesOfTheMaterialAreMeantAndWhatBecomesNothingIsSaid() {
    List<Long> tools = shelves.mills(shelves.library("Factor: material"), "CFM-1");
    line(tools.getFirst(), "p-alloy-annealed", "fixed");
    line(tools.getFirst(), "m-austenitic", "fixed");
    Api.Answer done =
        lead.post(BULK, order(tools, "number", "FEED", "factor", 1.2, "material", "m-austenitic"));
    assertEquals(1, done.number("changed"), done.toString());
    assertEquals("m-austenitic", lines(tools.getFirst()).at("/0/material").asString());
    assertEquals(0.06, lines(tools.getFirst()).at("/0/feed").asDouble());
    assertEquals(0.05, lines(tools.getFirst()).at("/1/feed").asDouble());
    JsonNode wide = lead.post(BULK, order(tools, "number", "WIDTH", "factor", 2)).body();
    assertEquals(0, wide.get("changed").asInt(), wide.toString());
    JsonNode much =
        lead.post(BULK + "?preview=true", order(tools, "number", "SPEED", "factor", 100)).body();
    assertEquals(2, much.get("changed").asInt());
  }

  @Test
  void aLaterChangeIsTakenBackFirst() {
    List<Long> tools = shelves.mills(shelves.library("Factor: later"), "CFL-1");
    line(tools.getFirst(), "p-alloy-annealed", "fixed");
    Api.Answer first = lead.post(BULK, order(tools, "number", "DEPTH", "factor", 0.5));
    Api.Answer second = lead.post(BULK, order(tools, "number", "DEPTH", "factor", 0.5));
    assertEquals(2.5, lines(tools.getFirst()).at("/0/depth").asDouble());
    assertEquals(
        409, lead.post("/api/v1/trail/%d/undo".formatted(first.number("undo")), Map.of()).status());
    shelves.undo(second);
    shelves.undo(first);
    assertEquals(10, lines(tools.getFirst()).at("/0/depth").asDouble());
  }

  @Test
  void wrongOrdersAreRefusedInWords() {
    List<Long> tools = List.of(1L);
    assertEquals(400, lead.post(BULK, order(tools, "number", "SPEED")).status());
    assertEquals(400, lead.post(BULK, order(tools, "factor", 2)).status());
    assertEquals(400, lead.post(BULK, order(tools, "number", "SPEED", "factor", 0)).status());
    assertEquals(400, lead.post(BULK, order(tools, "number", "SPEED", "factor", 1e9)).status());
    assertEquals(400, lead.post(BULK, order(List.of(), "number", "SPEED", "factor", 2)).status());
    assertEquals(403, as("OPERATOR").post(BULK, order(tools)).status());
  }
}
