package arborline.server;

import static arborline.server.VendorRelease.DRILL;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.math.BigDecimal;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** A vendor's next release comes as differences against what the shop took before. */
class VendorReleasesTest extends VendorTest {

  private static final Path PACKAGES = Path.of("../core/src/test/resources/vectors/part21");

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
    byte[] once =
        VendorRelease.of("Twice Edge", "1", VendorRelease.drills("VRT-1", DRILL, "VRT-2", DRILL));
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

  @Test
  void aHolderFollowsItsVendorAndKeepsWhatTheShopChanged() {
    long library = library("Releases: holders");
    long first =
        lead.deliver(
            "one.zip",
            VendorRelease.of(
                "Hold Edge", "1", Map.of("VRH-1", VendorRelease.holder("VRH-1", "20000."))));
    long id = bodied(first, "VRH-1", library);
    long next =
        lead.deliver(
            "two.zip",
            VendorRelease.of(
                "Hold Edge", "2", Map.of("VRH-1", VendorRelease.holder("VRH-1", "25000."))));
    assertEquals("pass", line(next, "VRH-1").get("disposition").asString());
    long undo = take(next, library).number("undo");
    assertEquals("25000 1/min", part(id).at("/properties/RPMX").asString());
    assertEquals(2, part(id).get("bodies").size());
    assertEquals(204, lead.post("/api/v1/trail/%d/undo".formatted(undo), Map.of()).status());
    assertEquals("20000 1/min", part(id).at("/properties/RPMX").asString());
  }
}
