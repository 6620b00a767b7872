package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Tools that may be one: found over the shop, merged with what refers to them, or kept apart. */
class DuplicatesTest extends ServerTest {

  private static final String PATH = "/api/v1/duplicates";

  private Shelves shelves;

  @BeforeEach
  void shelves() {
    shelves = new Shelves(lead);
  }

  private long mill(long library, String code, String values) {
    Api.Answer made =
        lead.post(
            "/api/v1/libraries/%d/tools".formatted(library),
            Draft.of(code, "Mill " + code, "end-mill-flat", values));
    assertEquals(201, made.status(), made.toString());
    return made.number("toolId");
  }

  private void search() {
    assertEquals(202, lead.post(PATH + "/search", Api.body()).status());
    Api.until(
        () -> lead.get(PATH + "/search").body().at("/search/state").asString().equals("DONE"));
  }

  private List<JsonNode> groups(long library) {
    return StreamSupport.stream(
            lead.get(PATH + "?library=" + library).at("items").spliterator(), false)
        .toList();
  }

  private static List<String> codes(JsonNode group) {
    return group.get("members").valueStream().map(one -> one.get("code").asString()).toList();
  }

  private Api.Answer merge(long keep, List<Long> others, Object... more) {
    Map<String, Object> order = Api.body(more);
    order.put("keep", keep);
    order.put("others", others);
    return lead.post(PATH + "/merge", order);
  }

  private JsonNode sheet(long tool) {
    return lead.get("/api/v1/tools/" + tool).body();
  }

  private long cutting(long tool, String material) {
    Api.Answer made =
        lead.post(
            "/api/v1/tools/%d/cutting".formatted(tool),
            Draft.cutting(material, "calculated", "speed", 120, "depth", 4, "width", 2));
    assertTrue(made.status() < 300, made.toString());
    return made.number("id");
  }

  private void prove(long line) {
    Api.Answer proven =
        lead.send(
            "PUT",
            "/api/v1/cutting/%d/proven?version=1".formatted(line),
            Api.body("machine", "M1", "speed", 125, "feed", 0.06));
    assertEquals(200, proven.status(), proven.toString());
  }

  private List<String> materials(long tool) {
    return lead.get("/api/v1/tools/%d/cutting".formatted(tool))
        .at("items")
        .valueStream()
        .map(line -> line.get("material").asString())
        .sorted()
        .toList();
  }

  private static final String SHAPE = "DC=7.3 APMX=17 DMM=8 OAL=61 NOF=3";

  @Test
  void oneShapeUnderTwoCodesIsFoundWithItsReasonsAndDifferences() {
    long one = shelves.library("Duplicates: one");
    long two = shelves.library("Duplicates: two");
    mill(one, "DUP-A-07", SHAPE);
    mill(two, "dup a/7".replace(' ', '.'), SHAPE.replace("APMX=17", "APMX=17.01"));
    mill(two, "DUP-OTHER", "DC=7.4 APMX=17 DMM=8 OAL=61 NOF=3");
    search();
    List<JsonNode> found = groups(one);
    assertEquals(1, found.size(), found.toString());
    assertEquals(List.of("DUP-A-07", "dup.a/7"), codes(found.getFirst()));
    JsonNode second = found.getFirst().at("/members/1");
    assertTrue(second.get("percent").asInt() > 90, second.toString());
    assertTrue(second.get("reasons").toString().contains("the same code, spelt otherwise"));
    assertTrue(
        second.get("differences").toString().contains("\"here\":\"17 mm\",\"there\":\"17.01 mm\""),
        second.toString());
    assertEquals("Duplicates: two", second.at("/usedIn/0/library").asString());
    for (long library : List.of(one, two)) {
      assertEquals(
          List.of(1L),
          lead.get("/api/v1/libraries/overview")
              .at("items")
              .valueStream()
              .filter(row -> row.get("id").asLong() == library)
              .map(row -> row.get("alike").asLong())
              .toList());
    }
  }

  @Test
  void aMergeTakesAllReferencesAlongAndIsTakenBackWhole() {
    long one = shelves.library("Merge: first");
    long two = shelves.library("Merge: second");
    String shape = "DC=5.1 APMX=17 DMM=8 OAL=61 NOF=3";
    long keep = mill(one, "MRG-A", shape);
    mill(two, "MRG-BEFORE", "DC=9.9 APMX=17 DMM=10 OAL=61 NOF=3");
    long other = mill(two, "MRG-B", shape + " LU=25");
    cutting(keep, "p-alloy-annealed");
    prove(cutting(other, "m-austenitic"));
    jdbc.sql("delete from plan_place").update();
    assertEquals(
        200,
        lead.send(
                "PUT",
                "/api/v1/machines/M1/plan/4",
                Api.body("toolId", other, "libraryId", two, "length", "111.5"))
            .status());
    Api.Answer preview =
        lead.post(PATH + "/merge?preview=true", Api.body("keep", keep, "others", List.of(other)));
    assertTrue(
        preview.toString().contains("number 2 of Merge: second becomes MRG-A"), preview.toString());
    assertEquals(Map.of("MRG-BEFORE", 1, "MRG-B", 2), shelves.numbers(two));
    Api.Answer merged = merge(keep, List.of(other), "values", Api.body("LU", other));
    assertEquals(200, merged.status(), merged.toString());
    assertEquals(Map.of("MRG-BEFORE", 1, "MRG-A", 2), shelves.numbers(two));
    assertEquals(List.of("m-austenitic", "p-alloy-annealed"), materials(keep));
    assertTrue(
        lead.get("/api/v1/tools/%d/cutting".formatted(keep)).toString().contains("\"proven\""));
    assertEquals("25", sheet(keep).at("/answer/values/LU/text").asString());
    assertEquals("MRG-A", sheet(other).at("/mergedInto/code").asString());
    JsonNode pocket = lead.get("/api/v1/machines/M1").at("plan").get(0);
    assertEquals("MRG-A", pocket.get("code").asString());
    assertEquals("111.5", pocket.get("length").asString());
    shelves.undo(merged);
    assertEquals(Map.of("MRG-BEFORE", 1, "MRG-B", 2), shelves.numbers(two));
    assertEquals(List.of("p-alloy-annealed"), materials(keep));
    assertEquals(List.of("m-austenitic"), materials(other));
    assertTrue(sheet(keep).at("/answer/values/LU").isMissingNode());
    assertTrue(sheet(other).get("mergedInto").isNull());
    assertEquals("MRG-B", lead.get("/api/v1/machines/M1").at("plan").get(0).get("code").asString());
  }

  @Test
  void whereALibraryHoldsBothOneEntryIsLeftInTheSectionsOfBoth() {
    long library = shelves.library("Merge: both");
    String shape = "DC=5.2 APMX=17 DMM=8 OAL=61 NOF=3";
    long keep = mill(library, "MRB-A", shape);
    long other = mill(library, "MRB-B", shape);
    long section =
        lead.post("/api/v1/libraries/%d/sections".formatted(library), Api.body("name", "Long"))
            .number("id");
    lead.post(
        "/api/v1/libraries/%d/sections/%d/tools".formatted(library, section),
        Api.body("tools", List.of(other)));
    Api.Answer merged = merge(keep, List.of(other));
    assertTrue(
        merged.toString().contains("number 2 of MRB-B is given up, MRB-A keeps number 1"),
        merged.toString());
    assertEquals(Map.of("MRB-A", 1), shelves.numbers(library));
    assertEquals(Map.of("MRB-A", "Long"), shelves.sections(library));
    shelves.undo(merged);
    assertEquals(Map.of("MRB-A", 1, "MRB-B", 2), shelves.numbers(library));
    assertEquals(Map.of("MRB-A", "", "MRB-B", "Long"), shelves.sections(library));
  }

  @Test
  void aPinnedEntryIsPinnedToTheToolThatIsKeptAndGoesBackToItsVersion() {
    long one = shelves.library("Merge: follows");
    long pinning = shelves.library("Merge: pins", "follows", false);
    String shape = "DC=6.1 APMX=17 DMM=8 OAL=61 NOF=3";
    long keep = mill(one, "MRP-A", shape);
    long other = mill(pinning, "MRP-B", shape);
    lead.send(
        "PUT",
        "/api/v1/tools/%d?version=1".formatted(other),
        Draft.of("MRP-B", "Mill MRP-B", "end-mill-flat", shape.replace("APMX=17", "APMX=18")));
    Api.Answer merged = merge(keep, List.of(other));
    assertTrue(merged.toString().contains("pinned to version 1"), merged.toString());
    assertEquals("MRP-A", shelves.rows(pinning, "").getFirst().get("code").asString());
    lead.send(
        "PUT",
        "/api/v1/tools/%d?version=1".formatted(keep),
        Draft.of("MRP-A", "Mill MRP-A", "end-mill-flat", shape.replace("APMX=17", "APMX=19")));
    assertEquals("17", shelves.rows(pinning, "").getFirst().at("/values/APMX/text").asString());
    shelves.undo(merged);
    JsonNode back = shelves.rows(pinning, "").getFirst();
    assertEquals("MRP-B", back.get("code").asString());
    assertEquals("17", back.at("/values/APMX/text").asString());
    assertEquals("{\"version\":1,\"newest\":2}", back.get("pinned").toString());
  }

  @Test
  void filesFollowButForThoseWhoseNameIsTaken() {
    long library = shelves.library("Merge: files");
    String shape = "DC=6.3 APMX=17 DMM=8 OAL=61 NOF=3";
    long keep = mill(library, "MRX-A", shape);
    long other = mill(library, "MRX-B", shape);
    attach(keep, "sheet.txt", "of the kept one");
    attach(other, "sheet.txt", "of the other");
    attach(other, "proof.txt", "it held");
    Api.Answer merged = merge(keep, List.of(other));
    assertTrue(merged.toString().contains("1 file of MRX-B goes to MRX-A"), merged.toString());
    assertEquals(List.of("proof.txt", "sheet.txt"), files(keep));
    assertEquals(List.of("sheet.txt"), files(other));
    shelves.undo(merged);
    assertEquals(List.of("sheet.txt"), files(keep));
    assertEquals(List.of("proof.txt", "sheet.txt"), files(other));
  }

  private void attach(long tool, String name, String text) {
    Api.Uploaded sent =
        lead.upload(
            "/api/v1/tools/%d/attachments".formatted(tool),
            Api.named(name, text.getBytes(StandardCharsets.UTF_8)));
    assertTrue(sent.status() < 300, name + " got " + sent.status());
  }

  private List<String> files(long tool) {
    return lead.get("/api/v1/tools/%d/attachments".formatted(tool))
        .at("items")
        .valueStream()
        .map(file -> file.get("name").asString())
        .sorted()
        .toList();
  }

  @Test
  void twoToolsOfOneMagazineAreTwo() {
    long library = shelves.library("Merge: magazine");
    String shape = "DC=5.3 APMX=17 DMM=8 OAL=61 NOF=3";
    long keep = mill(library, "MRM-A", shape);
    long other = mill(library, "MRM-B", shape);
    jdbc.sql("delete from plan_place").update();
    lead.send("PUT", "/api/v1/machines/M1/plan/4", Api.body("toolId", keep));
    lead.send("PUT", "/api/v1/machines/M1/plan/5", Api.body("toolId", other));
    Api.Answer refused = merge(keep, List.of(other));
    assertEquals(409, refused.status());
    assertTrue(refused.text("detail").contains("two tools in one machine are two"));
    assertEquals(Map.of("MRM-A", 1, "MRM-B", 2), shelves.numbers(library));
  }

  @Test
  void valuesThatMakeTheToolWrongAreRefused() {
    long library = shelves.library("Merge: wrong");
    long keep = mill(library, "MRW-A", "DC=5.4 APMX=30 DMM=8 OAL=61 NOF=3");
    long other = mill(library, "MRW-B", "DC=5.4 APMX=17 DMM=8 OAL=25 NOF=3");
    Api.Answer refused = merge(keep, List.of(other), "values", Api.body("OAL", other));
    assertEquals(409, refused.status(), refused.toString());
    assertTrue(refused.text("detail").startsWith("MRW-A would be wrong with these values"));
    assertEquals(2, shelves.numbers(library).size());
  }

  @Test
  void whatIsMergedIsNotMergedAgainAndEntersNoLibrary() {
    long library = shelves.library("Merge: once");
    String shape = "DC=5.5 APMX=17 DMM=8 OAL=61 NOF=3";
    long keep = mill(library, "MRO-A", shape);
    long other = mill(library, "MRO-B", shape);
    long third = mill(library, "MRO-C", shape);
    assertEquals(200, merge(keep, List.of(other)).status());
    assertEquals(409, merge(third, List.of(other)).status());
    assertEquals(409, merge(other, List.of(third)).status());
    assertEquals(400, merge(keep, List.of(keep)).status());
    assertEquals(404, merge(keep, List.of(987654321L)).status());
  }

  @Test
  void aDeliveryOfTheOldCodeMeetsTheToolIntoWhichItWasMerged() {
    long library = shelves.library("Merge: delivered");
    String shape = "DC=5.6 APMX=17 DMM=8 OAL=61 NOF=3";
    long keep = mill(library, "MRD-A", shape);
    long other = mill(library, "MRD-B", shape);
    merge(keep, List.of(other));
    long delivery =
        lead.deliver(
            "old.csv",
            "CODE,NAME,CLASS,DC [mm],APMX [mm],DMM [mm],OAL [mm],NOF\n"
                + "MRD-B,Mill MRD-A,end-mill-flat,5.6,17,8,61,3\n"
                + "MRD-X,Mill,end-mill-flat,5.6,17,8,61,3\n");
    assertTrue(
        line(delivery, "MRD-B").get("findings").toString().contains("already-here"),
        line(delivery, "MRD-B").toString());
    String alike = line(delivery, "MRD-X").get("findings").toString();
    assertTrue(alike.contains("MRD-A") && !alike.contains("MRD-B"), alike);
  }

  @Test
  void whatIsKeptApartIsNotFoundAgain() {
    long library = shelves.library("Apart: library");
    String shape = "DC=5.7 APMX=17 DMM=8 OAL=61 NOF=3";
    List<Long> tools = List.of(mill(library, "APT-A", shape), mill(library, "APT-B", shape));
    search();
    assertEquals(1, groups(library).size());
    Api.Answer apart = lead.post(PATH + "/apart", Api.body("tools", tools));
    assertEquals(0, groups(library).size());
    search();
    assertEquals(0, groups(library).size());
    shelves.undo(apart);
    search();
    assertEquals(1, groups(library).size());
  }

  @Test
  void onlyWhoMayChangeLibrariesSearchesMergesAndKeepsApart() {
    Api visitor = as("VISITOR");
    assertEquals(403, visitor.post(PATH + "/search", Api.body()).status());
    assertEquals(403, visitor.post(PATH + "/merge", Api.body()).status());
    assertEquals(403, visitor.post(PATH + "/apart", Api.body()).status());
    assertEquals(200, visitor.get(PATH).status());
    assertEquals(400, lead.get(PATH + "?after=x").status());
    assertEquals(400, lead.post(PATH + "/search", Api.body("tolerance", 1e300)).status());
  }
}
