package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import org.junit.jupiter.api.Test;

class StackTest extends ServerTest {

  private Map<String, Object> holder(String code) {
    return Api.body(
        "code", code,
        "name", "Shrink chuck",
        "kind", "HOLDER",
        "machineSide", "ST-JD-40:m",
        "workSide", "CY-SF-10:f",
        "bodies",
            List.of(
                Api.body("length", 27, "from", 63, "to", 63),
                Api.body("length", 60, "from", 44, "to", 24)),
        "material", "STEEL",
        "clamping", 28);
  }

  private long add(String code) {
    Api.Answer added = lead.post("/api/v1/components", holder(code));
    assertEquals(201, added.status(), added.body().toString());
    return added.number("id");
  }

  private long tool(String code) {
    long library = library("Stacks " + code);
    Api.Answer made =
        lead.post(
            "/api/v1/libraries/%d/tools".formatted(library),
            Api.body(
                "code",
                code,
                "name",
                "Mill",
                "classId",
                "end-mill-flat",
                "values",
                Map.of(
                    "DC", Map.of("text", "10", "unit", "mm"),
                    "APMX", Map.of("text", "22", "unit", "mm"),
                    "DMM", Map.of("text", "10", "unit", "mm"),
                    "OAL", Map.of("text", "72", "unit", "mm"),
                    "NOF", Map.of("text", "4"))));
    assertEquals(201, made.status(), made.body().toString());
    return made.number("toolId");
  }

  private Map<String, Object> stack(long component, double projection) {
    return Api.body(
        "name",
        "Short",
        "seat",
        "ST-JD-40:f",
        "components",
        List.of(component),
        "projection",
        projection,
        "wall",
        Api.body("height", 45, "distance", 12));
  }

  @Test
  void aStackIsCheckedKeptChangedAndTakenApart() {
    long component = add("ST-A");
    long tool = tool("ST-T1");
    Api.Answer checked =
        lead.post("/api/v1/tools/%d/stacks/check".formatted(tool), stack(component, 40));
    assertEquals(127, checked.at("shape").get("length").asDouble(), 1e-9);
    assertFalse(checked.at("clearance").get("clear").asBoolean());
    Api.Answer kept = lead.post("/api/v1/tools/%d/stacks".formatted(tool), stack(component, 40));
    assertEquals(201, kept.status());
    long id = kept.number("id");
    Api.Answer longer = lead.send("PUT", "/api/v1/stacks/" + id, stack(component, 44));
    assertEquals(131, longer.at("answer").get("shape").get("length").asDouble(), 1e-9);
    String solid =
        new String(lead.bytes("/api/v1/stacks/%d/step".formatted(id)), StandardCharsets.US_ASCII);
    assertTrue(solid.startsWith("ISO-10303-21;") && solid.contains("MANIFOLD_SOLID_BREP('ST-T1'"));
    assertEquals(204, lead.send("DELETE", "/api/v1/stacks/" + id, null).status());
    assertTrue(lead.get("/api/v1/tools/%d/stacks".formatted(tool)).at("items").isEmpty());
  }

  @Test
  void whatCannotBeHeldIsNotKept() {
    long component = add("ST-B");
    long tool = tool("ST-T2");
    Api.Answer refused = lead.post("/api/v1/tools/%d/stacks".formatted(tool), stack(component, 60));
    assertEquals(409, refused.status());
    assertTrue(refused.text("detail").contains("project 44.0 mm at most"));
    Map<String, Object> twice = stack(component, 40);
    twice.put("components", List.of(component, component));
    assertEquals(409, lead.post("/api/v1/tools/%d/stacks".formatted(tool), twice).status());
    Map<String, Object> unknown = stack(999_999, 40);
    assertEquals(400, lead.post("/api/v1/tools/%d/stacks".formatted(tool), unknown).status());
  }

  @Test
  void aChangedHolderIsFollowedByItsStacksAndARetiredOneIsSaid() {
    long component = add("ST-C");
    long tool = tool("ST-T3");
    lead.post("/api/v1/tools/%d/stacks".formatted(tool), stack(component, 40));
    Map<String, Object> longer = holder("ST-C");
    longer.put("bodies", List.of(Api.body("length", 100, "from", 63, "to", 30)));
    assertEquals(200, lead.send("PUT", "/api/v1/components/" + component, longer).status());
    Api.Answer using = lead.get("/api/v1/components/%d/stacks".formatted(component));
    var stack = using.at("items").get(0);
    assertEquals(140, stack.get("answer").get("shape").get("length").asDouble(), 1e-9);
    lead.send("PUT", "/api/v1/components/%d/retired?retired=true".formatted(component), null);
    assertEquals(
        "part-retired",
        lead.get("/api/v1/tools/%d/stacks".formatted(tool))
            .at("items")
            .get(0)
            .get("answer")
            .get("findings")
            .get(0)
            .get("code")
            .asString());
  }

  @Test
  void theSameCodeAskedForByTwoAtOnceIsGivenOnce() {
    var one = CompletableFuture.supplyAsync(() -> lead.post("/api/v1/components", holder("ST-D")));
    var other =
        CompletableFuture.supplyAsync(() -> lead.post("/api/v1/components", holder("st-d")));
    List<Integer> both =
        java.util.stream.Stream.of(one.join().status(), other.join().status()).sorted().toList();
    assertEquals(List.of(201, 409), both);
  }

  @Test
  void wrongComponentsAreRefusedInWords() {
    Map<String, Object> wrong = holder("ST-E");
    wrong.put("workSide", "CY-SL-0:f");
    Api.Answer refused = lead.post("/api/v1/components", wrong);
    assertEquals(409, refused.status());
    assertTrue(refused.text("detail").contains("diameter 0 must be > 0"));
  }

  @Test
  void partsThatMateAreOfferedFirstAndOthersWithTheReason() {
    long component = add("ST-F");
    long tool = tool("ST-T4");
    Api.Answer offers =
        lead.get("/api/v1/tools/%d/stacks/offers?socket=ST-JD-40:f".formatted(tool));
    assertTrue(offers.at("items").get(0).get("fits").asBoolean());
    Api.Answer other = lead.get("/api/v1/tools/%d/stacks/offers?socket=HT-A-63:f".formatted(tool));
    for (var offer : other.at("items")) {
      if (offer.get("id").asLong() == component) {
        assertFalse(offer.get("fits").asBoolean());
        assertTrue(offer.get("why").asString().contains("hollow taper"));
      }
    }
  }
}
