package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.stack.StepSolid;
import arborline.core.tool.outline.Point;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;
import tools.jackson.databind.JsonNode;

/** A package is held against its models, item by item; holders get their bodies from them. */
class PackageInspectionTest extends ServerTest {

  @Autowired private JdbcClient jdbc;

  private long fetched(String packageId) {
    long delivery = lead.post("/api/v1/news/%s/fetch".formatted(packageId), Map.of()).number("id");
    lead.untilRead(delivery);
    return delivery;
  }

  @Test
  void holdersGetTheirBodiesFromTheirModelsAndContradictionsAreAsked() {
    long delivery = fetched("brack-2026-b");
    JsonNode holder = line(delivery, "BRK-J40-SF16-090");
    assertEquals("pass", holder.get("disposition").asString(), holder.toString());
    assertTrue(
        holder.at("/cells/BODIES/text").asString().startsWith("2 x 44.45; 25 x 63; 63 x 40-32"),
        holder.toString());
    JsonNode wrong = line(delivery, "BRK-J40-HY20-085");
    assertTrue(
        wrong.get("findings").toString().contains("stands 95 mm out of its gauge plane"),
        wrong.toString());
    JsonNode mill = line(delivery, "BRK-M-12");
    assertEquals("BRK-J40-SF12-090", mill.at("/stacks/0/parts/0").asString(), mill.toString());
    assertEquals("46", mill.at("/stacks/0/cells/OVERHANG/text").asString());
  }

  @Test
  void whatWasNotInspectedDoesNotEnterUntilItIs() {
    long delivery = fetched("marram-2026-2");
    long mill = line(delivery, "MC-7005-120").get("id").asLong();
    long ball = line(delivery, "MC-4010-10").get("id").asLong();
    jdbc.sql("update delivery_line set inspection = 'LEFT' where id in (?, ?)")
        .params(mill, ball)
        .update();
    assertEquals(2, lead.get("/api/v1/deliveries/" + delivery).number("left"));
    assertFalse(line(delivery, "MC-7005-120").get("inspected").asBoolean());
    long library = library("Inspected first");
    String accept = "/api/v1/deliveries/%d/accept".formatted(delivery);
    assertEquals(
        0,
        lead.post(accept, Api.body("library", library, "lines", List.of(mill))).number("accepted"));
    String inspect = "/api/v1/deliveries/%d/inspect".formatted(delivery);
    assertEquals(202, lead.post(inspect, Api.body("lines", List.of(mill))).status());
    lead.untilRead(delivery);
    assertTrue(line(delivery, "MC-7005-120").get("inspected").asBoolean());
    assertFalse(line(delivery, "MC-4010-10").get("inspected").asBoolean());
    assertEquals(202, lead.post(inspect, Map.of()).status());
    lead.untilRead(delivery);
    assertEquals(0, lead.get("/api/v1/deliveries/" + delivery).number("left"));
    Api.Answer taken = lead.post(accept, Api.body("library", library, "lines", List.of(mill)));
    assertEquals(1, taken.number("accepted"));
    lead.post("/api/v1/trail/%d/undo".formatted(taken.number("undo")), Map.of());
  }

  @Test
  void holdersEnterTheShopWithoutALibraryAndToolsDoNot() {
    long delivery = fetched("brack-2026-b");
    long holder = line(delivery, "BRK-J40-SF16-090").get("id").asLong();
    long mill = line(delivery, "BRK-M-12").get("id").asLong();
    String accept = "/api/v1/deliveries/%d/accept".formatted(delivery);
    Api.Answer refused = lead.post(accept, Api.body("lines", List.of(holder, mill)));
    assertEquals(400, refused.status());
    assertEquals("say which library the tools enter", refused.text("detail"));
    assertTrue(line(delivery, "BRK-J40-SF16-090").get("takenPartId").isNull());
    Api.Answer taken = lead.post(accept, Api.body("lines", List.of(holder)));
    assertEquals("1 item", taken.text("what"));
    assertFalse(line(delivery, "BRK-J40-SF16-090").get("takenPartId").isNull());
    assertEquals(
        204, lead.post("/api/v1/trail/%d/undo".formatted(taken.number("undo")), Map.of()).status());
    assertTrue(line(delivery, "BRK-J40-SF16-090").get("takenPartId").isNull());
  }

  @Test
  void howFarAToolStandsOutIsSeenAndSaidBeforeItEnters() {
    long delivery = fetched("brack-2026-b");
    JsonNode mill = line(delivery, "BRK-M-12");
    String stack =
        "/api/v1/deliveries/%d/lines/%d/stacks/0".formatted(delivery, mill.get("id").asLong());
    Api.Answer now = lead.get(stack);
    assertEquals(136.0, now.at("shape").get("length").asDouble(), 0.001, now.toString());
    assertEquals(36.0, now.at("clamping").asDouble());
    assertEquals(47.0, now.at("longest").asDouble());
    Api.Answer far = lead.get(stack + "?overhang=60");
    assertEquals(150.0, far.at("shape").get("length").asDouble(), 0.001);
    assertTrue(far.at("findings").toString().contains("clamping-short"), far.toString());
    Api.Answer said = lead.send("PUT", stack, Api.body("overhang", 40));
    assertEquals(1, said.number("lines"), said.toString());
    assertEquals(130.0, lead.get(stack).at("shape").get("length").asDouble(), 0.001);
    lead.post("/api/v1/trail/%d/undo".formatted(said.number("undo")), Map.of());
    assertEquals(136.0, lead.get(stack).at("shape").get("length").asDouble(), 0.001);
    assertEquals(400, lead.send("PUT", stack, Api.body("overhang", 0)).status());
    assertEquals(400, lead.send("PUT", stack, Map.of()).status());
    assertEquals(400, lead.get(stack + "?overhang=1e-99999999").status());
    assertEquals(400, lead.get(stack + "?overhang=1e99999999").status());
    assertEquals(404, lead.get(stack.replace("stacks/0", "stacks/7")).status());
  }

  private static String assembly(String more) {
    return """
    ISO-10303-21;
    HEADER;
    FILE_NAME('a.p21','2026-03-02T09:14:00',(''),('Sturrow'),'','','');
    ENDSEC;
    DATA;
    #1=UNIT(.MILLI.,.METRE.);
    #10=ITEM('PIA-SET','tool assembly','Set');
    #11=PROPERTY_VALUE(#10,'LPR',168.5,#1,$);
    #20=ITEM('PIA-12','square end mill','End mill 12');
    #21=PROPERTY_VALUE(#20,'DC',12.,#1,$);
    #22=PROPERTY_VALUE(#20,'LF',83.,#1,$);
    #23=PROPERTY_VALUE(#20,'APMX',26.,#1,$);
    #24=PROPERTY_VALUE(#20,'NOF',4.,$,$);
    #25=PROPERTY_VALUE(#20,'OAL',83.,#1,$);
    #26=PROPERTY_VALUE(#20,'DMM',12.,#1,$);
    #40=ITEM('PIA-HLD','holder','Holder');
    #41=PROPERTY_VALUE(#40,'LPR',70.,#1,$);
    #42=CONNECTION(#40,'machine side','HA-63:m');
    #43=CONNECTION(#40,'workpiece side','CY-HY-12:f');
    #51=ASSEMBLY_USAGE('1',#10,#20,$);
    #52=ASSEMBLY_USAGE('2',#10,#40,$);
    #61=CARTESIAN_POINT('',(0.,0.,25.5));
    #62=DIRECTION('',(0.,0.,1.));
    #63=DIRECTION('',(1.,0.,0.));
    #64=AXIS2_PLACEMENT_3D('',#61,#62,#63);
    #65=PLACED_PART_LOCATION(#51,#64);
    %s
    ENDSEC;
    END-ISO-10303-21;
    """
        .formatted(more);
  }

  @Test
  void anAssemblyWhoseLengthContradictsItsPartsIsAskedUntilItsOverhangIsSaid() {
    long delivery = lead.deliver("set.p21", assembly(""));
    JsonNode mill = line(delivery, "PIA-12");
    assertEquals("query", mill.get("disposition").asString(), mill.toString());
    assertTrue(mill.get("findings").toString().contains("the tip stands at 108.5 mm"));
    lead.send(
        "PUT",
        "/api/v1/deliveries/%d/lines/%d/stacks/0".formatted(delivery, mill.get("id").asLong()),
        Api.body("overhang", 38.5));
    JsonNode said = line(delivery, "PIA-12");
    assertFalse(said.get("findings").toString().contains("the tip stands"), said.toString());
  }

  @Test
  void theModelOfAnAssemblyComesWithItsToolAndIsNoModelOfTheTool() throws IOException {
    StringBuilder solid = new StringBuilder();
    StepSolid.write(solid, "set", List.of(new Point(0, 20), new Point(168.5, 20)), Instant.EPOCH);
    Map<String, byte[]> files = new LinkedHashMap<>();
    files.put(
        "set.p21",
        assembly("#70=DOCUMENT_FILE('PIA-SET.stp',#10);").getBytes(StandardCharsets.UTF_8));
    files.put("PIA-SET.stp", solid.toString().getBytes(StandardCharsets.UTF_8));
    long delivery = lead.deliver("set.zip", Zips.of(files));
    assertEquals(2, lead.get("/api/v1/deliveries/%d/lines".formatted(delivery)).at("items").size());
    JsonNode mill = line(delivery, "PIA-12");
    assertTrue(mill.at("/cells/ATTACHMENT/text").asString().contains("PIA-SET.stp"));
    assertFalse(mill.get("findings").toString().contains("its model"), mill.toString());
  }

  @Test
  void aToolGetsCuttingDataBeforeItEnters() {
    long delivery = fetched("marram-2026-2");
    long line = line(delivery, "MC-7005-120").get("id").asLong();
    String cutting = "/api/v1/deliveries/%d/lines/%d/cutting".formatted(delivery, line);
    Api.Answer given =
        lead.send(
            "PUT",
            cutting,
            Api.body(
                "lines",
                List.of(Api.body("MATERIAL", "1.4462", "VC", "45 m/min", "FEED", "0.12 mm"))));
    assertEquals(1, given.number("lines"), given.toString());
    JsonNode now = line(delivery, "MC-7005-120");
    assertEquals("45 m/min", now.at("/cutting/0/cells/VC/text").asString(), now.toString());
    lead.post("/api/v1/trail/%d/undo".formatted(given.number("undo")), Map.of());
    assertEquals(0, line(delivery, "MC-7005-120").get("cutting").size());
    assertEquals(400, lead.send("PUT", cutting, Map.of()).status());
  }

  @Test
  void faultsOfThePackageAreNamedWithTheirFile() {
    long delivery = fetched("ossel-26.1");
    JsonNode faults = lead.get("/api/v1/deliveries/%d/package".formatted(delivery)).at("faults");
    assertEquals(1, faults.size(), faults.toString());
    assertEquals("pictures/OIW-DNMG150604-K2.png", faults.get(0).get("file").asString());
    assertEquals("not-a-picture", faults.get(0).get("kind").asString());
  }
}
