package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** A vendor's next release comes as differences against what the shop took before. */
class VendorReleasesTest extends ServerTest {

  private static final Path PACKAGES = Path.of("../core/src/test/resources/vectors/part21");

  private static String property(int id, String symbol, String value) {
    return "#%d=TOOL_PROPERTY('%s',#1,%s,%s,$);\n"
        .formatted(id, symbol, value, symbol.equals("NOF") ? "$" : "#2");
  }

  /** A drill; lengths as {@code LU=49 OAL=89}. */
  private static String drill(String id, String sizes) {
    StringBuilder properties = new StringBuilder();
    int next = 10;
    for (String size : sizes.split(" ")) {
      properties.append(property(next++, size.split("=")[0], size.split("=")[1] + "."));
    }
    return """
    ISO-10303-21;
    HEADER;
    FILE_NAME('a.p21','2026-03-02T09:14:00',(''),('Dreave Edge'),'','','');
    ENDSEC;
    DATA;
    #1=TOOL_ITEM('%s','Drill','twist drill');
    #2=UNIT(.MILLI.,.METRE.);
    #3=UNIT('deg');
    #4=TOOL_PROPERTY('SIG',#1,140.,#3,$);
    #5=TOOL_PROPERTY('NOF',#1,2,$,$);
    %sENDSEC;
    END-ISO-10303-21;
    """
        .formatted(id, properties);
  }

  private static byte[] release(String vendor, String release, Map<String, String> items) {
    Map<String, byte[]> files = new LinkedHashMap<>();
    StringBuilder named = new StringBuilder();
    items.forEach((id, text) -> {
      named.append("<item id='%1$s' file='items/%1$s.p21'/>".formatted(id));
      if (!text.isEmpty()) {
        files.put("items/%s.p21".formatted(id), text.getBytes(StandardCharsets.UTF_8));
      }
    });
    files.put(
        "package.xml",
        "<package><vendor>%s</vendor><release>%s</release>%s</package>"
            .formatted(vendor, release, named)
            .getBytes(StandardCharsets.UTF_8));
    return Zips.of(files);
  }

  private static Map<String, String> drills(String... idsAndSizes) {
    Map<String, String> items = new LinkedHashMap<>();
    for (int i = 0; i < idsAndSizes.length; i += 2) {
      String sizes = idsAndSizes[i + 1];
      items.put(idsAndSizes[i], sizes.isEmpty() ? "" : drill(idsAndSizes[i], sizes));
    }
    return items;
  }

  private long delivered(String vendor, String release, String... drills) {
    return lead.deliver(release + ".zip", release(vendor, release, drills(drills)));
  }

  private Api.Answer take(long delivery, long library) {
    Api.Answer taken =
        lead.post("/api/v1/deliveries/%d/accept".formatted(delivery), Api.body("library", library));
    assertEquals(200, taken.status(), taken.toString());
    assertEquals(
        0,
        lead.get("/api/v1/deliveries/%d".formatted(delivery)).number("query"),
        lead.get("/api/v1/deliveries/%d/lines".formatted(delivery)).toString());
    return taken;
  }

  private long tool(long library, String code) {
    return StreamSupport.stream(
            lead.get("/api/v1/libraries/%d/tools?limit=500".formatted(library))
                .at("items")
                .spliterator(),
            false)
        .filter(one -> one.get("code").asString().equals(code))
        .findFirst()
        .orElseThrow()
        .get("toolId")
        .asLong();
  }

  private String value(long tool, String symbol) {
    return lead.get("/api/v1/tools/%d".formatted(tool))
        .body()
        .at("/answer/values/%s/text".formatted(symbol))
        .asString();
  }

  private Api.Answer report(long delivery) {
    return lead.get("/api/v1/deliveries/%d/package".formatted(delivery));
  }

  private static final String DRILL = "DC=8 LU=49 OAL=89 LCF=55 DMM=8";

  private JsonNode given(long delivery, String code, String speed) {
    long id = line(delivery, code).get("id").asLong();
    Api.Answer said =
        lead.send(
            "PUT",
            "/api/v1/deliveries/%d/lines/%d/cutting".formatted(delivery, id),
            Api.body(
                "lines",
                List.of(Map.of("MATERIAL", "p-alloy-annealed", "VC", speed, "FEED", "0.2"))));
    assertEquals(200, said.status(), said.toString());
    return line(delivery, code);
  }

  @Test
  void cuttingDataGivenForWhatTheShopHasAreJudgedAndTaken() {
    long library = library("Releases: cutting data");
    take(delivered("Cut Edge", "26-1", "VRQ-1", DRILL, "VRQ-2", DRILL, "VRQ-3", DRILL), library);
    long ours = tool(library, "VRQ-3");
    lead.send(
        "PUT",
        "/api/v1/tools/%d?version=1".formatted(ours),
        Draft.of("VRQ-3", "Ours", "drill-twist", "DC=8 LU=48 OAL=89 LCF=55 DMM=8 SIG=140 NOF=2"));
    String longer = DRILL.replace("LU=49", "LU=47");
    long next = delivered("Cut Edge", "26-2", "VRQ-1", longer, "VRQ-2", DRILL, "VRQ-3", DRILL);
    assertEquals("skipped", line(next, "VRQ-2").get("disposition").asString());
    assertEquals("skipped", line(next, "VRQ-3").get("disposition").asString());
    for (String code : List.of("VRQ-1", "VRQ-2", "VRQ-3")) {
      JsonNode wrong = given(next, code, "-5");
      assertEquals("hold", wrong.get("disposition").asString(), wrong.toString());
      assertTrue(wrong.get("findings").toString().contains("must be above 0"), wrong.toString());
      assertEquals("pass", given(next, code, "90").get("disposition").asString());
    }
    take(next, library);
    for (String code : List.of("VRQ-1", "VRQ-2", "VRQ-3")) {
      JsonNode cut =
          lead.get("/api/v1/tools/%d/cutting".formatted(tool(library, code))).at("items").get(0);
      assertEquals(0, new BigDecimal("90").compareTo(new BigDecimal(cut.get("speed").asString())));
    }
    assertEquals("47", value(tool(library, "VRQ-1"), "LU"));
    assertEquals("49", value(tool(library, "VRQ-2"), "LU"));
    assertEquals("48", value(ours, "LU"));
  }

  @Test
  void whatTheVendorChangedFollowsAndWhatTheShopChangedStays() {
    long library = library("Releases: following");
    take(delivered("Follow Edge", "26-1", "VRF-1", DRILL, "VRF-2", DRILL), library);
    long first = tool(library, "VRF-1");
    lead.send(
        "PUT",
        "/api/v1/tools/%d?version=1".formatted(first),
        Draft.of(
            "VRF-1",
            "Our drill",
            "drill-twist",
            "DC=7.98 LU=49 OAL=89 LCF=55 DMM=8 SIG=140 NOF=2"));
    long next =
        delivered("Follow Edge", "26-2", "VRF-1", DRILL.replace("LU=49", "LU=47"), "VRF-2", DRILL);
    JsonNode changed = line(next, "VRF-1");
    assertEquals("pass", changed.get("disposition").asString(), changed.toString());
    assertTrue(changed.toString().contains("LU 49 mm to 47 mm"), changed.toString());
    assertEquals("skipped", line(next, "VRF-2").get("disposition").asString());
    Api.Answer report = report(next);
    assertEquals("Follow Edge", report.text("vendor"));
    assertEquals("26-2", report.text("release"));
    assertEquals("26-1", report.text("taken"));
    assertEquals(1, report.number("changed"));
    assertEquals(1, report.number("unchanged"));
    long undo = take(next, library).number("undo");
    assertEquals("47", value(first, "LU"));
    assertEquals("7.98", value(first, "DC"));
    assertEquals("Our drill", lead.get("/api/v1/tools/" + first).text("name"));
    assertEquals(
        "26-2",
        lead.get("/api/v1/tools/%d/origin".formatted(first))
            .at("items")
            .get(0)
            .get("release")
            .asString());
    assertEquals(204, lead.post("/api/v1/trail/%d/undo".formatted(undo), Map.of()).status());
    assertEquals("49", value(first, "LU"));
    assertEquals(
        "26-1",
        lead.get("/api/v1/tools/%d/origin".formatted(first))
            .at("items")
            .get(0)
            .get("release")
            .asString());
  }

  @Test
  void whatBothChangedIsAskedAndNothingEntersBefore() {
    long library = library("Releases: conflict");
    take(delivered("Conflict Edge", "1", "VRC-1", DRILL), library);
    long tool = tool(library, "VRC-1");
    lead.send(
        "PUT",
        "/api/v1/tools/%d?version=1".formatted(tool),
        Draft.of("VRC-1", "Drill", "drill-twist", "DC=8 LU=45 OAL=89 LCF=55 DMM=8 SIG=140 NOF=2"));
    long next = delivered("Conflict Edge", "2", "VRC-1", DRILL.replace("LU=49", "LU=47"));
    JsonNode asked = line(next, "VRC-1");
    assertEquals("hold", asked.get("disposition").asString(), asked.toString());
    assertTrue(
        asked.toString().contains("LU was 49 mm and is now 47 mm with the vendor, the shop has 45"),
        asked.toString());
    JsonNode field =
        lead.get("/api/v1/deliveries/%d/lines/%d/vendor".formatted(next, asked.get("id").asLong()))
            .at("fields")
            .get(0);
    assertEquals("LU", field.get("field").asString());
    assertEquals("49 mm", field.get("before").asString());
    assertEquals("47 mm", field.get("now").asString());
    assertEquals("45 mm", field.get("ours").asString());
    assertEquals("CONFLICT", field.get("outcome").asString());
    take(next, library);
    assertEquals("45", value(tool, "LU"));
    Api.Answer settled =
        lead.post(
            "/api/v1/deliveries/%d/settle".formatted(next),
            Api.body("answer", "merge", "fields", List.of("LU"), "finding", "vendor-conflict"));
    assertEquals(1, settled.number("lines"), settled.toString());
    take(next, library);
    assertEquals("47", value(tool, "LU"));
  }

  @Test
  void whatWasDecidedIsNotAskedAgainWithTheNextRelease() {
    long library = library("Releases: decided");
    take(delivered("Decided Edge", "1", "VRK-1", DRILL), library);
    long tool = tool(library, "VRK-1");
    String ours = "DC=8 LU=45 OAL=89 LCF=55 DMM=8 SIG=140 NOF=2";
    lead.send(
        "PUT",
        "/api/v1/tools/%d?version=1".formatted(tool),
        Draft.of("VRK-1", "Drill", "drill-twist", ours));
    String changed = DRILL.replace("LU=49", "LU=47").replace(" LCF=55", "");
    long second = delivered("Decided Edge", "2", "VRK-1", changed);
    assertEquals("hold", line(second, "VRK-1").get("disposition").asString());
    lead.post(
        "/api/v1/deliveries/%d/settle".formatted(second),
        Api.body("answer", "keep", "finding", "vendor-conflict"));
    take(second, library);
    assertEquals("45", value(tool, "LU"));

    long third = delivered("Decided Edge", "3", "VRK-1", changed.replace("OAL=89", "OAL=92"));

    JsonNode line = line(third, "VRK-1");
    assertEquals("pass", line.get("disposition").asString(), line.toString());
    take(third, library);
    assertEquals("92", value(tool, "OAL"));
    assertEquals("45", value(tool, "LU"));
    assertEquals("55", value(tool, "LCF"));
  }

  @Test
  void aToolThatWasRenamedHereIsStillTheVendorsItem() {
    long library = library("Releases: renamed");
    long first = delivered("Rename Edge", "1", "VRN-1", DRILL);
    lead.send(
        "PATCH",
        "/api/v1/deliveries/%d/lines/%d".formatted(first, line(first, "VRN-1").get("id").asLong()),
        Api.body("cells", Api.body("CODE", "OUR-DRILL-8")));
    take(first, library);
    long tool = tool(library, "OUR-DRILL-8");
    long next = delivered("Rename Edge", "2", "VRN-1", DRILL.replace("OAL=89", "OAL=91"));
    JsonNode line = line(next, "OUR-DRILL-8");
    assertEquals("pass", line.get("disposition").asString(), line.toString());
    take(next, library);
    assertEquals("91", value(tool, "OAL"));
  }

  @Test
  void takingTheSamePackageTwiceChangesNothing() {
    long library = library("Releases: twice");
    byte[] once = release("Twice Edge", "1", drills("VRT-1", DRILL, "VRT-2", DRILL));
    take(lead.deliver("one.zip", once), library);
    long again = lead.deliver("again.zip", once);
    assertEquals("skipped", line(again, "VRT-1").get("disposition").asString());
    assertEquals(0, take(again, library).number("accepted"));
  }

  @Test
  void anOlderReleaseChangesNothing() {
    long library = library("Releases: older");
    take(delivered("Older Edge", "10", "VRO-1", DRILL), library);
    long older = delivered("Older Edge", "9", "VRO-1", DRILL.replace("LU=49", "LU=40"));
    JsonNode line = line(older, "VRO-1");
    assertEquals("skipped", line.get("disposition").asString(), line.toString());
    assertTrue(line.toString().contains("newer than 9"), line.toString());
    assertTrue(report(older).at("older").asBoolean());
  }

  @Test
  void whatIsNoLongerMadeIsListedWithWhereItIsUsedAndNoted() {
    long library = library("Releases: discontinued");
    take(delivered("Gone Edge", "1", "VRD-1", DRILL, "VRD-2", DRILL, "VRD-3", DRILL), library);
    long next = delivered("Gone Edge", "2", "VRD-1", DRILL, "VRD-3", "");
    Api.Answer report = report(next);
    assertEquals(1, report.at("discontinued").size(), report.toString());
    JsonNode gone = report.at("discontinued").get(0);
    assertEquals("VRD-2", gone.get("item").asString());
    assertEquals("Releases: discontinued", gone.at("/used/0/name").asString());
    assertEquals("VRD-3", report.at("notCompared").get(0).asString());
    assertEquals("missing-file", report.at("faults").get(0).get("kind").asString());
    assertEquals(1, report.number("gone"));
    assertEquals(
        400,
        lead.post(
                "/api/v1/deliveries/%d/discontinued".formatted(next),
                Api.body("items", java.util.Arrays.asList("VRD-2", null)))
            .status());
    Api.Answer noted = lead.post("/api/v1/deliveries/%d/discontinued".formatted(next), Map.of());
    String origin = "/api/v1/tools/%d/origin".formatted(tool(library, "VRD-2"));
    assertEquals("2", lead.get(origin).at("items").get(0).get("discontinued").asString());
    lead.post("/api/v1/trail/%d/undo".formatted(noted.number("undo")), Map.of());
    assertTrue(lead.get(origin).at("items").get(0).get("discontinued").isNull());
  }

  @Test
  void aDeliveryOfNoVendorHasNoReport() {
    assertEquals(
        404, report(lead.deliver("plain.csv", "CODE,CLASS,DC\nVRX-1,end-mill-flat,10\n")).status());
  }

  @Test
  void theGivenReleasesComeAsTheDifferencesThatTheyAre() throws IOException {
    long library = library("Releases: given");
    Set<String> given = new HashSet<>();
    Api.JSON
        .readTree(Files.readAllBytes(PACKAGES.resolve("k1-marram-2026-1.json")))
        .get("items")
        .forEach(item -> given.add(item.get("id").asString()));
    take(
        lead.deliver("k1.zip", Files.readAllBytes(PACKAGES.resolve("k1-marram-2026-1.zip"))),
        library);
    long next =
        lead.deliver("k2.zip", Files.readAllBytes(PACKAGES.resolve("k2-marram-2026-2.zip")));
    JsonNode truth =
        Api.JSON
            .readTree(Files.readAllBytes(PACKAGES.resolve("k2-marram-2026-2.json")))
            .get("differences");
    Api.Answer report = report(next);
    for (JsonNode change : truth.get("changed")) {
      JsonNode line = line(next, change.get("id").asString());
      assertTrue(
          line.get("findings").toString().contains(change.get("symbol").asString() + " "),
          change + " in " + line);
    }
    for (JsonNode same : truth.get("unchanged")) {
      assertEquals("skipped", line(next, same.asString()).get("disposition").asString());
    }
    assertEquals(
        StreamSupport.stream(truth.get("discontinued").spliterator(), false)
            .map(JsonNode::asString)
            .toList(),
        StreamSupport.stream(report.at("discontinued").spliterator(), false)
            .map(gone -> gone.get("item").asString())
            .filter(given::contains)
            .toList());
    assertEquals(truth.get("notCompared"), report.at("notCompared"));
    assertEquals(truth.get("new").size(), report.number("fresh"), report.toString());
  }

  private static String holder(String id, String speed) {
    return """
    ISO-10303-21;
    HEADER;
    FILE_NAME('a.p21','2026-03-02T09:14:00',(''),('Hold Edge'),'','','');
    ENDSEC;
    DATA;
    #1=ITEM('%s','shrink fit holder','Shrink chuck');
    #2=NAMED_UNIT('1/min');
    #3=PROPERTY_VALUE(#1,'RPMX',%s,#2,$);
    #4=CONNECTION(#1,'machine side','HT-A-63:m');
    #5=CONNECTION(#1,'workpiece side','CY-SF-12:f');
    ENDSEC;
    END-ISO-10303-21;
    """
        .formatted(id, speed);
  }

  private JsonNode part(long id) {
    return lead.get("/api/v1/components/%d".formatted(id)).at("component");
  }

  @Test
  void aHolderFollowsItsVendorAndKeepsWhatTheShopChanged() {
    long library = library("Releases: holders");
    long first =
        lead.deliver(
            "one.zip", release("Hold Edge", "1", Map.of("VRH-1", holder("VRH-1", "20000."))));
    long id = bodied(first, "VRH-1", library);
    long next =
        lead.deliver(
            "two.zip", release("Hold Edge", "2", Map.of("VRH-1", holder("VRH-1", "25000."))));
    assertEquals("pass", line(next, "VRH-1").get("disposition").asString());
    long undo = take(next, library).number("undo");
    assertEquals("25000 1/min", part(id).at("/properties/RPMX").asString());
    assertEquals(2, part(id).get("bodies").size());
    assertEquals(204, lead.post("/api/v1/trail/%d/undo".formatted(undo), Map.of()).status());
    assertEquals("20000 1/min", part(id).at("/properties/RPMX").asString());
  }

  @Test
  void whatCannotBeReadOfAHolderIsNotTakenForNothing() {
    long library = library("Releases: unreadable holders");
    long id = bodied(lead.deliver("one.zip", blurred("1", "20000.")), "VRU-1", library);
    long typed = lead.deliver("two.zip", blurred("2", "25000."));
    typed(typed, "VRU-1", "RPMX", "fast");
    assertEquals("hold", line(typed, "VRU-1").get("disposition").asString());
    typed(typed, "VRU-1", "RPMX", "24000");
    take(typed, library);
    assertEquals("24000 1/min", part(id).at("/properties/RPMX").asString());

    long written = lead.deliver("three.zip", blurred("3", "'fast'"));
    JsonNode asked = line(written, "VRU-1");
    assertEquals("hold", asked.get("disposition").asString(), asked.toString());
    assertTrue(
        asked.toString().contains("could not be read now ('fast' is no number), the shop has 24"),
        asked.toString());
    take(written, library);
    typed(written, "VRU-1", "RPMX", "26000");
    take(written, library);
    assertEquals("26000 1/min", part(id).at("/properties/RPMX").asString());
  }

  private void typed(long delivery, String code, String symbol, String text) {
    long id = line(delivery, code).get("id").asLong();
    Api.Answer said =
        lead.send(
            "PATCH",
            "/api/v1/deliveries/%d/lines/%d".formatted(delivery, id),
            Api.body("cells", Api.body(symbol, text)));
    assertEquals(200, said.status(), said.toString());
  }

  private static byte[] blurred(String release, String speed) {
    return release("Blurred Edge", release, Map.of("VRU-1", holder("VRU-1", speed)));
  }

  /** The id of a holder of a package, which is given a body first. */
  private long bodied(long delivery, String code, long library) {
    typed(delivery, code, "BODIES", "26 x 63; 64 x 32");
    take(delivery, library);
    return line(delivery, code).get("takenPartId").asLong();
  }

  @Test
  void whatCannotBeReadOfAToolIsAskedWhereTheShopHasIt() {
    long library = library("Releases: unreadable tools");
    take(delivered("Smeared Edge", "1", "VRS-1", DRILL), library);
    String smeared =
        drill("VRS-1", DRILL)
            .replace("'OAL',#1,89.", "'OAL',#1,'long'")
            .replace("#2=UNIT", "#90=TOOL_PROPERTY('RPMX',#1,'fast',$,$);\n#2=UNIT");
    byte[] next = release("Smeared Edge", "2", Map.of("VRS-1", smeared));
    long delivery = lead.deliver("next.zip", next);
    JsonNode asked = line(delivery, "VRS-1");
    assertEquals("hold", asked.get("disposition").asString(), asked.toString());
    assertTrue(asked.toString().contains("OAL was 89 mm and could not be read"), asked.toString());
    for (String answer : List.of("replace", "merge")) {
      lead.post(
          "/api/v1/deliveries/%d/settle".formatted(delivery),
          Api.body(
              "answer",
              answer,
              "fields",
              List.of("OAL"),
              "lines",
              List.of(asked.get("id").asLong())));
      JsonNode lost = line(delivery, "VRS-1");
      assertEquals("hold", lost.get("disposition").asString(), lost.toString());
      assertTrue(
          lost.toString().contains("OAL could not be read ('long' is no number)"), lost.toString());
    }
    lead.post(
        "/api/v1/deliveries/%d/settle".formatted(delivery),
        Api.body("answer", "keep", "lines", List.of(asked.get("id").asLong())));
    take(delivery, library);
    assertEquals("89", value(tool(library, "VRS-1"), "OAL"));

    JsonNode again = line(lead.deliver("again.zip", next), "VRS-1");
    assertEquals("skipped", again.get("disposition").asString(), again.toString());
    assertTrue(again.toString().contains("RPMX: 'fast' is no number"), again.toString());
  }
}
