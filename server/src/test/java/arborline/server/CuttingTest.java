package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Map;
import org.junit.jupiter.api.Test;

class CuttingTest extends ServerTest {

  private long tool(String code) {
    return lead.post(
            "/api/v1/libraries/%d/tools".formatted(library("Cutting " + code)),
            Draft.of(code, "Mill " + code, "end-mill-flat", "DC=9.7 APMX=22 DMM=10 OAL=72 NOF=4"))
        .number("toolId");
  }

  private Api.Answer compute(long tool, Object... changes) {
    Map<String, Object> question =
        Api.body(
            "material",
            "p-alloy-annealed",
            "speed",
            150,
            "feed",
            0.05,
            "depth",
            10,
            "width",
            3,
            "machine",
            "M1");
    question.putAll(Api.body(changes));
    return lead.post("/api/v1/tools/%d/cutting/compute".formatted(tool), question);
  }

  @Test
  void aCutIsComputedAndClippedByTheMachine() {
    long tool = tool("CU-1");
    Api.Answer plain = compute(tool);
    assertEquals(4922.4, plain.at("cut").get("rotation").asDouble(), 0.1);
    assertTrue(plain.at("findings").isEmpty());
    Api.Answer fast = compute(tool, "speed", 900);
    assertEquals(12000, fast.at("cut").get("rotation").asDouble(), 1e-6);
    assertTrue(
        fast.at("findings").get(0).get("message").asString().contains("the spindle allows 12000"));
    Api.Answer wide = compute(tool, "width", 12);
    assertTrue(wide.at("cut").isNull());
    assertEquals("ae cannot exceed D", wide.at("findings").get(0).get("message").asString());
    assertEquals(400, compute(tool, "material", "cheese").status());
  }

  @Test
  void whatWasProvenBeatsTheRestAndIsOfferedToTheSameGeometry() {
    long tool = tool("CU-2");
    String path = "/api/v1/tools/%d/cutting".formatted(tool);
    long kept = lead.post(path, Draft.cutting("p-alloy-annealed", "calculated")).number("id");
    Api.Answer proven =
        as("TOOLROOM")
            .send(
                "PUT",
                "/api/v1/cutting/%d/proven?version=1".formatted(kept),
                Api.body("machine", "M1", "speed", 165, "feed", 0.06));
    assertEquals("proven", proven.text("origin"));
    assertEquals(150, proven.at("beforeSpeed").asDouble());
    assertTrue(proven.text("by").endsWith("(toolroom)"));
    long twin = tool("CU-3");
    Api.Answer offered = lead.get("/api/v1/tools/%d/cutting".formatted(twin));
    assertEquals(165, offered.at("elsewhere").get(0).get("speed").asDouble());
    assertTrue(offered.at("items").isEmpty());
    long out = lead.send("DELETE", "/api/v1/cutting/" + kept, null).number("undo");
    assertTrue(lead.get(path).at("items").isEmpty());
    lead.post("/api/v1/trail/%d/undo".formatted(out), null);
    assertEquals("proven", lead.get(path).at("items").get(0).get("origin").asString());
  }

  @Test
  void provingIsTakenBackAndACopyKeepsTheLines() {
    long tool = tool("CU-5");
    String path = "/api/v1/tools/%d/cutting".formatted(tool);
    long kept = lead.post(path, Draft.cutting("p-alloy-annealed", "calculated")).number("id");
    long proven =
        lead.send(
                "PUT",
                "/api/v1/cutting/%d/proven?version=1".formatted(kept),
                Api.body("machine", "M1", "speed", 165, "feed", 0.06))
            .number("undo");
    long library = library("Copies of lines");
    long copy =
        lead.post("/api/v1/libraries/%d/tools/%d/copy".formatted(library, tool), null)
            .number("toolId");
    var copied = lead.get("/api/v1/tools/%d/cutting".formatted(copy)).at("items").get(0);
    assertEquals(165, copied.get("speed").asDouble());
    assertEquals("proven", copied.get("origin").asString());
    lead.post("/api/v1/trail/%d/undo".formatted(proven), null);
    var back = lead.get(path).at("items").get(0);
    assertEquals("calculated", back.get("origin").asString());
    assertEquals(150, back.get("speed").asDouble());
  }

  @Test
  void aToolThatDoesNotCutByTurningHasNoCuttingData() {
    long probe =
        lead.post(
                "/api/v1/libraries/%d/tools".formatted(library("Cutting probes")),
                Draft.of("CU-P", "Probe", "probe-touch", "DC=6 DN=4 LU=50 LF=150 RPMX=0"))
            .number("toolId");
    assertEquals(409, compute(probe).status());
    assertEquals(
        409,
        lead.get("/api/v1/tools/%d/cutting/start?material=p-alloy-annealed".formatted(probe))
            .status());
  }

  @Test
  void wrongLinesAreRefusedInWords() {
    String path = "/api/v1/tools/%d/cutting".formatted(tool("CU-4"));
    assertEquals(
        "only a fixed line can ignore the work material",
        lead.post(path, Draft.cutting("", "calculated")).text("detail"));
    assertEquals(201, lead.post(path, Draft.cutting("", "fixed")).status());
    assertEquals(400, lead.post(path, Draft.cutting("p-alloy-annealed", "proven")).status());
    Map<String, Object> zero = Draft.cutting("p-alloy-annealed", "calculated");
    zero.put("speed", 0);
    assertEquals("speed must be above 0 and at most 100 000", lead.post(path, zero).text("detail"));
    assertEquals(403, as("VISITOR").post(path, Draft.cutting("", "fixed")).status());
  }

  @Test
  void theShopAddsMaterialsOfItsOwn() {
    Api.Answer added =
        lead.post(
            "/api/v1/materials",
            Api.body("name", "Cast bronze CuSn12", "group", "N", "force", 950, "rise", 0.24));
    assertEquals(201, added.status());
    String id = added.text("id");
    assertEquals(id, lead.get("/api/v1/materials").at("items").get(0).get("id").asString());
    long tool = tool("CU-OWN");
    Api.Answer computed = compute(tool, "material", id);
    assertTrue(computed.at("cut").get("power").asDouble() > 0);
    long line =
        lead.post("/api/v1/tools/%d/cutting".formatted(tool), Draft.cutting(id, "catalogue"))
            .number("id");
    Api.Answer needed = lead.send("DELETE", "/api/v1/materials/" + id, null);
    assertEquals(409, needed.status());
    assertTrue(
        needed.text("detail").matches("Cast bronze.* is needed by 1 line of cutting data; .*"),
        needed.text("detail"));
    lead.send("DELETE", "/api/v1/cutting/" + line, null);
    assertEquals(204, lead.send("DELETE", "/api/v1/materials/" + id, null).status());
    assertEquals(404, lead.send("DELETE", "/api/v1/materials/p-low-carbon", null).status());
  }

  @Test
  void aMaterialIsNamedOnceAndKnownByForceOrHardness() {
    Map<String, Object> steel = Api.body("name", "Shaft steel", "group", "P", "hardness", 240);
    assertEquals(1825, lead.post("/api/v1/materials", steel).at("force").asDouble());
    Api.Answer twice = lead.post("/api/v1/materials", steel);
    assertEquals(409, twice.status());
    Api.Answer bare = lead.post("/api/v1/materials", Api.body("name", "Plywood", "group", "W"));
    assertEquals(400, bare.status());
    assertTrue(bare.text("detail").contains("give kc1.1"));
  }

  @Test
  void saysWhereToBegin() {
    long tool = tool("CU-START");
    Api.Answer start =
        lead.get("/api/v1/tools/%d/cutting/start?material=p-alloy-annealed".formatted(tool));
    assertEquals(150, start.at("request").get("speed").asDouble());
    assertEquals(9.7, start.at("request").get("depth").asDouble());
    assertEquals("Feed fz", start.at("inputs").get(0).get("title").asString());
    assertEquals(
        400, lead.get("/api/v1/tools/%d/cutting/start?material=cheese".formatted(tool)).status());
  }

  @Test
  void knowsCutterMaterialsAndCoatings() {
    assertEquals(
        "HC", lead.get("/api/v1/cutter-materials").at("items").get(0).get("id").asString());
    assertTrue(lead.get("/api/v1/coatings").at("items").size() > 5);
  }

  @Test
  void whoProvedTakesTheOwnProofBackAndNobodyOverwritesAnothersUnseen() {
    long tool = tool("CU-7");
    long kept =
        lead.post(
                "/api/v1/tools/%d/cutting".formatted(tool),
                Draft.cutting("p-alloy-annealed", "calculated"))
            .number("id");
    String path = "/api/v1/cutting/%d/proven?version=1".formatted(kept);
    Object proof = Api.body("machine", "M1", "speed", 165, "feed", 0.06);
    Api.Answer first = as("TOOLROOM").send("PUT", path, proof);
    assertEquals(2, first.number("version"));
    Api.Answer late = as("PROGRAMMER").send("PUT", path, proof);
    assertEquals(409, late.status());
    assertTrue(late.text("detail").contains("proven at vc 165, feed 0.06 now"));
    String undo = "/api/v1/trail/%d/undo".formatted(first.number("undo"));
    assertEquals(204, as("TOOLROOM").post(undo, null).status());
    assertEquals(409, as("TOOLROOM").post(undo, null).status());
    assertEquals(403, as("OPERATOR").send("PUT", path, proof).status());
  }
}
