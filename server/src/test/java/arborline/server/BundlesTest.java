package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** A tool comes, goes and is taken back with its parts, its stacks and its cutting data. */
class BundlesTest extends ServerTest {

  /** A mill in a chuck of its own, with a proven line and one that follows; JSON version 2. */
  private static String bundle(String prefix) {
    return """
    {"format": "arbor-line-tools", "version": 2, "library": "Mills",
     "tools": [{"code": "%1$s-M", "name": "Mill", "class": "end-mill-flat", "number": 7,
       "section": "Roughing", "notes": {"": "keep dry", "Shelf": "C3"},
       "values": {"DC": {"text": "10", "unit": "mm"}, "APMX": {"text": "22", "unit": "mm"},
         "LU": {"text": "24", "unit": "mm", "formula": "APMX + 2"},
         "OAL": {"text": "72", "unit": "mm"}, "DMM": {"text": "10", "unit": "mm"},
         "NOF": {"text": "4"}},
       "cutting": [
         {"material": "1.4462", "purpose": "slot", "origin": "proven", "by": "toolroom",
          "at": "2026-03-02T07:15:00Z", "machine": "M1",
          "values": {"VC": {"text": "72.5", "unit": "m/min"}, "FEED": {"text": "0.045"},
            "AP": {"text": "8"}, "BEFOREVC": {"text": "60"}, "BEFOREFEED": {"text": "0.04"}}},
         {"material": "CuSn12", "purpose": "rough", "origin": "catalogue",
          "values": {"VC": {"text": "160"}, "FEED": {"text": "0.06"},
            "AP": {"text": "5", "formula": "DC / 2"}}}],
       "stacks": [{"name": "short", "seat": "ST-JD-40:f",
         "values": {"OVERHANG": {"text": "35.5"}}, "parts": ["%1$s-H"]}]}],
     "parts": [{"kind": "holder", "code": "%1$s-H", "name": "Chuck",
       "values": {"CCMS": {"text": "ST-JD-40:m"}, "CCWS": {"text": "CY-SF-10:f"},
         "BODIES": {"text": "27 x 63; 53 x 32-24"}, "LSC": {"text": "31"},
         "RPMX": {"text": "20000", "unit": "1/min"}}}]}
    """
        .formatted(prefix);
  }

  private List<JsonNode> lines(long delivery) {
    return StreamSupport.stream(
            lead.get("/api/v1/deliveries/%d/lines".formatted(delivery)).at("items").spliterator(),
            false)
        .toList();
  }

  private Api.Answer accept(long delivery, long library, Object... more) {
    var order = Api.body("library", library, "numbering", "keep");
    order.putAll(Api.body(more));
    return lead.post("/api/v1/deliveries/%d/accept".formatted(delivery), order);
  }

  private long toolOf(long library) {
    return lead.get("/api/v1/libraries/%d/tools".formatted(library))
        .at("items")
        .get(0)
        .get("toolId")
        .asLong();
  }

  private JsonNode cutting(long tool) {
    return lead.get("/api/v1/tools/%d/cutting".formatted(tool)).at("items");
  }

  private JsonNode stacks(long tool) {
    return lead.get("/api/v1/tools/%d/stacks".formatted(tool)).at("items");
  }

  private static List<String> words(List<JsonNode> lines, String... names) {
    return lines.stream()
        .map(line ->
            String.join(
                " ", List.of(names).stream().map(name -> line.get(name).asString()).toList()))
        .toList();
  }

  @Test
  void linesShowWhatBelongsToATool() {
    List<JsonNode> lines = lines(lead.deliver("bundle.json", bundle("BU1")));
    assertEquals(
        List.of("cutter BU1-M pass", "holder BU1-H pass"),
        words(lines, "kind", "code", "disposition"));
    JsonNode mill = lines.getFirst();
    assertEquals(2, mill.get("cutting").size());
    assertEquals("72.5", mill.at("/cutting/0/cells/VC/text").asString());
    assertEquals("BU1-H", mill.at("/parts/0").asString());
    assertEquals("APMX + 2", mill.at("/cells/LU/formula").asString());
    assertEquals("C3", mill.at("/notes/Shelf").asString());
    assertEquals("ST-JD-40:m", lines.get(1).at("/cells/CCMS/text").asString());
  }

  @Test
  void aToolEntersWithAllThatBelongsToItAndASecondTimeChangesNothing() {
    long library = library("Bundles 2");
    long delivery = lead.deliver("bundle.json", bundle("BU2"));
    assertEquals(2, accept(delivery, library).number("accepted"));
    long tool = toolOf(library);
    assertEquals(2, cutting(tool).size());
    JsonNode stack = stacks(tool).get(0);
    assertEquals("BU2-H", stack.at("/parts/0/component/code").asString());
    assertEquals("20000 1/min", stack.at("/parts/0/component/properties/RPMX").asString());
    assertEquals(
        0, stack.get("overhang").decimalValue().compareTo(new java.math.BigDecimal("35.5")));

    assertEquals(
        "{\"\":\"keep dry\",\"Shelf\":\"C3\"}",
        lead.get("/api/v1/tools/" + tool).at("notes").toString());

    long again = lead.deliver("again.json", bundle("BU2"));
    assertEquals(2, lead.get("/api/v1/deliveries/" + again).number("skipped"));
    assertEquals(0, accept(again, library).number("accepted"));
    assertEquals(2, cutting(tool).size());
    assertEquals(1, stacks(tool).size());
  }

  @Test
  void whatGoesOutComesBackTheSameFromBothFormats() {
    long library = library("Bundles 3");
    accept(lead.deliver("bundle.json", bundle("BU3")), library);
    for (String format : List.of("json", "csv")) {
      byte[] file = lead.bytes("/api/v1/libraries/%d/export?format=%s".formatted(library, format));
      long back = lead.deliver("back." + format, file);
      Api.Answer read = lead.get("/api/v1/deliveries/" + back);
      assertEquals(
          format.equals("json") ? 2 : 1,
          read.number("skipped"),
          new String(file, StandardCharsets.UTF_8) + lines(back));
    }
    assertEquals(
        0, lead.get("/api/v1/libraries/%d/losses?format=json".formatted(library)).number("count"));
    Api.Answer losses = lead.get("/api/v1/libraries/%d/losses?format=csv".formatted(library));
    assertEquals(
        List.of("LU", "AP"),
        StreamSupport.stream(losses.at("losses").spliterator(), false)
            .map(loss -> loss.get("symbol").asString())
            .toList());
  }

  @Test
  void takingBackTakesPartsStacksAndCuttingDataBackAsWell() {
    long library = library("Bundles 4");
    long delivery = lead.deliver("bundle.json", bundle("BU4"));
    long undo = accept(delivery, library).number("undo");
    long tool = toolOf(library);
    assertEquals(204, lead.post("/api/v1/trail/%d/undo".formatted(undo), null).status());
    assertEquals(0, cutting(tool).size());
    assertEquals(0, stacks(tool).size());
    assertTrue(
        StreamSupport.stream(lead.get("/api/v1/components").at("items").spliterator(), false)
            .noneMatch(part -> part.at("/component/code").asString().equals("BU4-H")));
    assertEquals(2, accept(delivery, library).number("accepted"));
    assertEquals(2, cutting(toolOf(library)).size());
    assertEquals(1, stacks(toolOf(library)).size());
  }

  @Test
  void takingOneToolTakesThePartsThatItsStackNeeds() {
    long library = library("Bundles 5");
    long delivery = lead.deliver("bundle.json", bundle("BU5"));
    long mill = lines(delivery).getFirst().get("id").asLong();
    assertEquals(2, accept(delivery, library, "lines", List.of(mill)).number("accepted"));
    assertEquals(1, stacks(toolOf(library)).size());
  }

  @Test
  void aMissingPartIsSaidAndTheToolEntersWithoutTheStackOnceLookedAt() {
    long library = library("Bundles 6");
    String without = bundle("BU6").replaceAll("(?s),\\s*\"parts\": \\[\\{\"kind\".*", "}");
    long delivery = lead.deliver("bundle.json", without);
    JsonNode mill = lines(delivery).getFirst();
    assertEquals("query", mill.get("disposition").asString());
    assertEquals(
        "part BU6-H of stack 'short' is neither in this delivery nor in the shop: without it the"
            + " stack is not taken",
        mill.at("/findings/0/message").asString());
    assertEquals(
        1, accept(delivery, library, "lines", List.of(mill.get("id").asLong())).number("accepted"));
    assertEquals(0, stacks(toolOf(library)).size());
    assertEquals(2, cutting(toolOf(library)).size());
  }

  @Test
  void anotherPartUnderTheSameCodeIsHeldWithWhatDiffers() {
    accept(lead.deliver("bundle.json", bundle("BU7")), library("Bundles 7"));
    long delivery = lead.deliver("other.json", bundle("BU7").replace("53 x 32-24", "63 x 32-24"));
    JsonNode holder = lines(delivery).get(1);
    assertEquals("hold", holder.get("disposition").asString());
    assertEquals(
        "the shop has another holder under code BU7-H: BODIES 27 x 63; 63 x 32-24 here, 27 x 63;"
            + " 53 x 32-24 in the shop",
        holder.at("/findings/0/message").asString());
  }

  @Test
  void rowsThatStandFarFromTheirToolAreJoinedToIt() {
    String table =
        """
        KIND,CODE,CLASS,DC,APMX,OAL,DMM,NOF,CCMS,CCWS,BODIES,LSC,MATERIAL,VC,FZ,SEAT,OVERHANG,PARTS
        stack,BU8-M,,,,,,,,,,,,,,ST-JD-40:f,30,BU8-H
        cutting,BU8-M,,,,,,,,,,,POM-C,300,0.1,,,
        cutter,BU8-M,end-mill-flat,10,22,72,10,4,,,,,1.4462,70,0.04,,,
        cutter,BU8-N,end-mill-flat,12,26,83,12,4,,,,,,,,,,
        holder,BU8-H,,,,,,,ST-JD-40:m,CY-SF-10:f,27 x 63; 53 x 32-24,31,,,,,,
        cutting,BU8-X,,,,,,,,,,,POM-C,300,0.1,,,
        """;
    long delivery = lead.deliver("far.csv", table);
    List<JsonNode> lines = lines(delivery);
    assertEquals(
        List.of(
            "cutter BU8-M pass", "cutter BU8-N pass", "holder BU8-H pass", "cutting BU8-X hold"),
        words(lines, "kind", "code", "disposition"));
    assertEquals(2, lines.getFirst().get("cutting").size());
    assertEquals(1, lines.getFirst().get("stacks").size());
    long library = library("Bundles 8");
    assertEquals(3, accept(delivery, library).number("accepted"));
    long tool = toolOf(library);
    assertEquals(2, cutting(tool).size());
    assertEquals(1, stacks(tool).size());
  }

  @Test
  void cuttingDataForAToolOfTheShopIsTakenIntoIt() {
    long library = library("Bundles 9");
    accept(lead.deliver("tools.csv", table("BU9", 1)), library);
    long delivery =
        lead.deliver(
            "feeds.csv", "CODE,MATERIAL,VC,FZ\nBU9-1,POM-C,300,0.1\nBU9-1,1.4462,70,0.04\n");
    assertEquals(
        List.of("cutting BU9-1 pass", "cutting BU9-1 pass"),
        words(lines(delivery), "kind", "code", "disposition"));
    Api.Answer taken = accept(delivery, library);
    assertEquals(2, taken.number("accepted"));
    assertEquals(2, cutting(toolOf(library)).size());
    lead.post("/api/v1/trail/%d/undo".formatted(taken.number("undo")), null);
    assertEquals(0, cutting(toolOf(library)).size());
  }

  @Test
  void aValueThatFollowsByAFormulaFollowsItsSource() {
    long library = library("Bundles 10");
    accept(lead.deliver("bundle.json", bundle("BU10")), library);
    long tool = toolOf(library);
    JsonNode sheet = lead.get("/api/v1/tools/" + tool).body();
    var draft =
        Api.body(
            "code",
            "BU10-M",
            "name",
            "Mill",
            "classId",
            "end-mill-flat",
            "values",
            Api.body(
                "DC", Api.body("text", "12"),
                "APMX", Api.body("text", "30"),
                "LU", Api.body("text", "APMX + 2"),
                "OAL", Api.body("text", "83"),
                "DMM", Api.body("text", "12"),
                "NOF", Api.body("text", "4")));
    Api.Answer changed =
        lead.send(
            "PUT",
            "/api/v1/tools/%d?version=%d".formatted(tool, sheet.get("version").asInt()),
            draft);
    assertEquals(200, changed.status(), changed.body().toString());
    JsonNode now = lead.get("/api/v1/tools/" + tool).body();
    assertEquals("C3", now.at("/notes/Shelf").asString(), "notes stay where nobody touches them");
    assertEquals("32", now.at("/answer/values/LU/text").asString(), now.toString());
    assertEquals("APMX + 2", now.at("/answer/values/LU/formula").asString());
    assertTrue(
        StreamSupport.stream(cutting(tool).spliterator(), false)
            .anyMatch(line ->
                line.get("purpose").asString().equals("rough")
                    && line.get("depth").decimalValue().compareTo(new java.math.BigDecimal("6"))
                        == 0));
  }
}
