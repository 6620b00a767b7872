package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.node.ObjectNode;

/** How planned tools are used in their places. */
class UsesTest extends ServerTest {

  private String machine;
  private long library;
  private long drill;

  @BeforeEach
  void aTurningCentreWithADrill() {
    String unique = Long.toString(System.nanoTime(), 36).toUpperCase();
    machine = "U" + unique.substring(unique.length() - 8);
    ObjectNode definition = (ObjectNode) lead.get("/api/v1/machines/L1").at("machine").deepCopy();
    definition.put("id", machine).put("name", "Uses " + machine);
    assertEquals(201, lead.post("/api/v1/machines", Api.body("machine", definition)).status());
    library = library("Uses " + machine);
    drill = tool("UD", "drill-twist", "DC=10 DMM=10 LCF=61 OAL=103 LU=50 SIG=140 NOF=2");
    put("1", drill);
  }

  private long tool(String prefix, String toolClass, String values) {
    return lead.post(
            "/api/v1/libraries/%d/tools".formatted(library),
            Draft.of(prefix + "-" + library, "Tool " + prefix, toolClass, values))
        .number("toolId");
  }

  private Api.Answer put(String place, long tool) {
    Api.Answer put =
        lead.send(
            "PUT",
            "/api/v1/machines/%s/plan/%s".formatted(machine, place),
            Api.body("toolId", tool));
    assertEquals(200, put.status(), put.toString());
    return put;
  }

  private String use(String place) {
    return "/api/v1/machines/%s/plan/%s/use".formatted(machine, place);
  }

  private Api.Answer choose(String place, Object... order) {
    return lead.send("PUT", use(place), Api.body(order));
  }

  @Test
  void aDrillStandsStillOnTheCentreLineAndTurnsAcrossInADrivenStation() {
    Api.Answer still = lead.get(use("1"));
    assertEquals(200, still.status(), still.toString());
    assertTrue(still.at("usual").asBoolean());
    assertEquals(7, still.at("reading").get("orientation").asInt());
    assertFalse(still.at("reading").get("view").isNull());
    Api.Answer refused = choose("1", "driven", true);
    assertEquals(409, refused.status());
    assertTrue(refused.text("detail").contains("station 1 drives nothing"));
    put("2", drill);
    Api.Answer driven = lead.get(use("2"));
    assertEquals(8, driven.at("reading").get("orientation").asInt());
    Api.Answer along = choose("2", "angle", 0);
    assertEquals(200, along.status(), along.toString());
    assertEquals(7, along.at("reading").get("orientation").asInt());
    assertEquals(
        7,
        lead.get("/api/v1/machines/" + machine)
            .at("plan")
            .get(0)
            .get("use")
            .get("orientation")
            .asInt());
    assertEquals(
        204, lead.post("/api/v1/trail/%d/undo".formatted(along.number("undo")), null).status());
    assertTrue(lead.get(use("2")).at("usual").asBoolean());
  }

  private long block(String code, String machineSide, Object turn) {
    var draft = Draft.holder(code + library, "Block");
    draft.putAll(Api.body("machineSide", machineSide, "workSide", "SQ-H-20:f", "turn", turn));
    return lead.post("/api/v1/components", draft).number("id");
  }

  private Api.Answer keep(long tool, long block) {
    Api.Answer kept =
        lead.post(
            "/api/v1/tools/%d/stacks".formatted(tool),
            Api.body("name", "", "seat", "VD-A-30:f", "components", List.of(block)));
    assertEquals(201, kept.status(), kept.toString());
    return kept;
  }

  /** Stations of L1 face outwards. */
  @Test
  void theBlockOfATurningToolSaysHowItPointsAndTheTurretMeetsBoth() {
    long external = tool("UX", "turning-external", "KAPR=95 H=20 B=20 LF=125 WF=25 RE=0.8 IC=12.7");
    long across = block("UB", "VD-B-30:m", Api.body("angle", 90, "at", 45, "out", 34));
    Api.Answer kept = keep(external, across);
    lead.send("DELETE", "/api/v1/machines/%s/plan/1".formatted(machine), null);
    put("5", external);
    Api.Answer view = lead.get("/api/v1/machines/" + machine);
    var place = view.at("plan").get(0);
    assertEquals(90, place.get("assembly").get("turned").asInt());
    assertEquals(45, place.get("assembly").get("length").asInt());
    assertEquals(45, place.get("turned").get("at").asInt());
    assertTrue(place.get("use").get("along").asBoolean(), "a block across points along the work");
    assertEquals(0, place.get("use").get("holds").size(), place.toString());
    assertEquals(0, lead.get(use("5")).at("use").get("angle").asInt());
    Api.Answer other = choose("5", "angle", 90, "work", "EXTERNAL");
    assertEquals(200, other.status(), other.toString());
    assertTrue(other.toString().contains("the holder in its stack holds it at 0°"));
    Api.Answer touched = lead.get("/api/v1/touches?kind=TOOL&id=" + external);
    assertTrue(touched.toString().contains("stack without a name"), touched.toString());
    Api.Answer solid = lead.get("/api/v1/stacks/%d/step".formatted(kept.number("id")));
    assertEquals(409, solid.status());
    assertTrue(solid.text("detail").contains("is no solid of revolution"), solid.toString());
  }

  @Test
  void onlyABlockForATurretMayTurnTheAxisAndASlotTakesItsHeight() {
    var draft = Draft.holder("UM" + library, "Chuck");
    draft.put("turn", Api.body("angle", 90, "at", 45, "out", 34));
    Api.Answer refused = lead.post("/api/v1/components", draft);
    assertEquals(409, refused.status(), refused.toString());
    assertTrue(refused.text("detail").contains("a block for a turret may"), refused.toString());
    long larger = tool("UL", "turning-external", "KAPR=95 H=25 B=25 LF=150 WF=32 RE=0.8 IC=12.7");
    long block = block("UC", "VD-C-30:m", null);
    Api.Answer wrong =
        lead.post(
            "/api/v1/tools/%d/stacks".formatted(larger),
            Api.body("name", "", "seat", "VD-A-30:f", "components", List.of(block)));
    assertEquals(409, wrong.status());
    assertTrue(wrong.text("detail").contains("shank does not enter the slot"), wrong.toString());
  }

  @Test
  void aUseIsLookedAtBeforeItIsChosenAndGoesBackToTheUsualOne() {
    Api.Answer looked =
        lead.post(use("1") + "/look", Api.body("depth", 60, "offsets", List.of(1, 21)));
    assertEquals(200, looked.status());
    assertTrue(looked.toString().contains("60 mm is deeper than it can go: 50 mm"));
    assertTrue(lead.get(use("1")).at("usual").asBoolean());
    Api.Answer chosen = choose("1", "depth", 40, "offsets", List.of(1, 21));
    assertEquals(200, chosen.status(), chosen.toString());
    assertEquals(40, lead.get(use("1")).at("use").get("depth").asInt());
    assertEquals(200, choose("1", "unlimited", List.of("depth")).status());
    assertTrue(lead.get(use("1")).at("use").get("depth").isNull());
    assertEquals(200, lead.send("DELETE", use("1"), null).status());
    assertTrue(lead.get(use("1")).at("usual").asBoolean());
  }

  /** Those of L1 are 601 to 680; the drill is number 1 of its library. */
  @Test
  void aToolThatComesInHasANumberOfTheMachine() {
    long other = tool("UG", "drill-twist", "DC=6 DMM=6 LCF=44 OAL=82 LU=40 SIG=140 NOF=2");
    assertEquals(
        "number 2 of its library is none of this machine: it has 602 here",
        put("3", other).at("questions").get(0).asString());
    assertEquals(
        List.of("601", "602"),
        lead.get("/api/v1/machines/" + machine)
            .at("plan")
            .valueStream()
            .map(place -> place.get("number").asString())
            .toList());
  }

  @Test
  void aToolKeepsItsNumberWhereverItIsMoved() {
    var base = lead.get("/api/v1/machines/" + machine).at("machine");
    ObjectNode wanted = (ObjectNode) base.deepCopy();
    ((ObjectNode) wanted.at("/numbering")).put("from", 701).put("to", 780);
    String definition = "/api/v1/machines/%s/definition".formatted(machine);
    assertEquals(
        200, lead.send("PUT", definition, Api.body("base", base, "wanted", wanted)).status());
    put("13", drill);
    assertEquals(
        "601", lead.get("/api/v1/machines/" + machine).at("plan").get(0).get("number").asString());
  }

  @Test
  void anOffsetNumberBelongsToOneTool() {
    long other = tool("UE", "drill-twist", "DC=8 DMM=8 LCF=53 OAL=91 LU=40 SIG=140 NOF=2");
    put("3", other);
    Api.Answer taken = choose("3", "offsets", List.of(1));
    assertEquals(409, taken.status(), taken.toString());
    assertTrue(taken.text("detail").contains("offset number 1 is that of UD-" + library));
  }

  @Test
  void wrongOrdersAreRefusedInWords() {
    assertEquals(404, lead.get(use("5")).status());
    assertEquals(404, lead.get(use("99")).status());
    assertEquals(400, choose("1", "depth", "1e400").status());
    assertEquals(400, choose("1", "offsets", java.util.Arrays.asList(1, null)).status());
    assertEquals(409, choose("1", "offsets", List.of()).status());
    assertEquals(409, choose("1", "spindle", "sub").status());
    assertEquals(409, choose("1", "setPoint", "NOSE_CENTRE").status());
    assertEquals(409, choose("1", "coolant", "steam").status());
    assertEquals(403, as("OPERATOR").send("PUT", use("1"), Api.body()).status());
    assertEquals(200, as("OPERATOR").get(use("1")).status());
  }
}
