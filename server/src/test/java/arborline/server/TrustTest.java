package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Why a tool can be trusted. */
class TrustTest extends ServerTest {

  private JsonNode trust(long tool) {
    Api.Answer answer = as("OPERATOR").get("/api/v1/tools/%d/trust".formatted(tool));
    assertEquals(200, answer.status(), answer.toString());
    return answer.body();
  }

  @Test
  void saysWhoCheckedItWhatChangedSinceWhereItProvedGoodAndWasMeasured() {
    long library = library("Trust " + System.nanoTime());
    String code = "TR_" + library;
    long tool =
        lead.post("/api/v1/libraries/%d/tools".formatted(library), Draft.mill(code, "10"))
            .number("toolId");
    assertEquals("DRAFT", trust(tool).get("standing").asString());
    assertTrue(trust(tool).get("by").isNull());
    assertTrue(trust(tool).get("measured").isNull());
    lead.post("/api/v1/tools/standing", Api.body("tools", List.of(tool), "standing", "RELEASED"));
    assertEquals(0, trust(tool).get("changedSince").size());
    lead.send("PUT", "/api/v1/tools/%d?version=1".formatted(tool), Draft.mill(code, "12"));
    long line =
        lead.post(
                "/api/v1/tools/%d/cutting".formatted(tool),
                Draft.cutting("p-alloy-annealed", "calculated"))
            .number("id");
    assertEquals(
        200,
        lead.send(
                "PUT",
                "/api/v1/cutting/%d/proven?version=1".formatted(line),
                Api.body("machine", "M1 Heron", "speed", 160, "feed", 0.06))
            .status());
    Map<String, Object> planned = Api.body("toolId", tool);
    lead.send("PUT", "/api/v1/machines/M1/plan/38", planned);
    planned.put("length", "120");
    lead.send("PUT", "/api/v1/machines/M1/plan/38", planned);
    JsonNode trust = trust(tool);
    lead.send("DELETE", "/api/v1/machines/M1/plan/38", null);
    assertEquals("RELEASED", trust.get("standing").asString());
    assertTrue(trust.get("by").asString().contains("lead"), trust.toString());
    assertEquals(2, trust.at("/changedSince/0/version").asInt());
    assertEquals("M1 Heron", trust.at("/proven/0/machine").asString());
    assertEquals(1, trust.at("/proven/0/times").asInt());
    assertEquals("M1 Heron", trust.at("/measured/machine").asString());
    assertTrue(trust.get("asked").asInt() > 5, trust.toString());
    assertEquals(0, trust.get("open").size(), trust.toString());
  }

  @Test
  void aToolThatIsNotThereIsNotFound() {
    assertEquals(404, lead.get("/api/v1/tools/999999999/trust").status());
  }
}
