package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

class NamingTest extends ServerTest {

  private static final Map<String, Object> NOTHING = Map.of();

  private long create(long library, String code, String name, int diameter) {
    return lead.post("/api/v1/libraries/" + library + "/tools", draft(code, name, diameter))
        .number("toolId");
  }

  private static Map<String, Object> draft(String code, String name, int diameter) {
    return Draft.of(
        code, name, "end-mill-flat", "DC=%d APMX=20 DMM=12 OAL=83 NOF=4".formatted(diameter));
  }

  private Api.Answer keep(long library, String code, String name) {
    return lead.send(
        "PUT", "/api/v1/libraries/" + library + "/naming", Api.body("code", code, "name", name));
  }

  private Api.Answer preview(long library, String code, String name) {
    return lead.post(
        "/api/v1/libraries/" + library + "/naming/preview", Api.body("code", code, "name", name));
  }

  /** Orders what a preview showed. */
  private Api.Answer rename(long library, Api.Answer preview) {
    List<Object> wanted = new ArrayList<>();
    for (JsonNode step : preview.at("items")) {
      if (step.get("state").asString().equals("CHANGES")) {
        wanted.add(
            Api.body(
                "toolId", step.get("id").asLong(),
                "code", step.get("newCode").asString(),
                "name", step.get("newName").asString()));
      }
    }
    return lead.post("/api/v1/libraries/" + library + "/naming/rename", Api.body("tools", wanted));
  }

  private String code(long tool) {
    return lead.get("/api/v1/tools/" + tool).text("code");
  }

  @Test
  void renamesAllAtOnceAndTakesItBack() {
    long library = library("Naming all");
    long six = create(library, "NA-A", "old six", 6);
    long eight = create(library, "NA-B", "old eight", 8);
    keep(library, "NA{DC 2}-{NO}", "End mill {DC}");
    Api.Answer preview = preview(library, "NA{DC 2}-{NO}", "End mill {DC}");
    assertEquals(2, preview.at("counts").get("CHANGES").asInt());
    Api.Answer done = rename(library, preview);
    assertEquals(2, done.number("tools"));
    assertEquals(List.of("NA06-1", "NA08-1"), List.of(code(six), code(eight)));
    assertEquals("End mill 6", lead.get("/api/v1/tools/" + six).text("name"));
    assertEquals(
        2, preview(library, "NA{DC 2}-{NO}", "End mill {DC}").at("counts").get("FITS").asInt());
    assertEquals(
        204, lead.post("/api/v1/trail/" + done.number("undo") + "/undo", NOTHING).status());
    assertEquals(List.of("NA-A", "NA-B"), List.of(code(six), code(eight)));
    assertEquals("old six", lead.get("/api/v1/tools/" + six).text("name"));
  }

  @Test
  void aFormerCodeIsNeverGivenToAnother() {
    long library = library("Naming former");
    create(library, "NF-OLD", "mill", 6);
    keep(library, "NF{DC}", "");
    rename(library, preview(library, "NF{DC}", ""));
    Api.Answer again =
        lead.post("/api/v1/libraries/" + library + "/tools", draft("nf-old", "other", 8));
    assertEquals(409, again.status());
    assertTrue(again.text("detail").contains("was the code of NF6"), again.text("detail"));
    long delivery = lead.deliver("former.csv", table("NF-OLD", 1).replace("NF-OLD-1", "NF-OLD"));
    JsonNode line = lead.get("/api/v1/deliveries/" + delivery + "/lines").at("items").get(0);
    assertEquals("code-held", line.get("findings").get(0).get("code").asString());
    assertEquals(
        0,
        lead.post(
                "/api/v1/deliveries/" + delivery + "/accept",
                Api.body("library", library, "numbering", "next"))
            .number("accepted"));
  }

  @Test
  void nothingIsRenamedWhereOneToolIsAnotherNow() {
    long library = library("Naming stale");
    long first = create(library, "NS-A", "first", 6);
    long second = create(library, "NS-B", "second", 8);
    keep(library, "NS{DC}", "");
    Api.Answer preview = preview(library, "NS{DC}", "");
    lead.send("PUT", "/api/v1/tools/" + second + "?version=1", draft("NS-B", "second", 10));
    Api.Answer refused = rename(library, preview);
    assertEquals(409, refused.status());
    assertTrue(refused.text("detail").contains("nothing is renamed"));
    assertEquals("NS-A", code(first));
  }

  @Test
  void aWrongPatternIsRefusedWithItsPlace() {
    long library = library("Naming wrong");
    Api.Answer refused = keep(library, "EM{WIDTH}", "");
    assertEquals(400, refused.status());
    assertTrue(refused.text("detail").startsWith("pattern for the code: character 4: 'WIDTH'"));
    assertEquals(
        "character 3: { is never closed; end the field with }",
        preview(library, "EM{DC", "").text("codeFault"));
    assertEquals("", lead.get("/api/v1/libraries/" + library + "/naming").text("code"));
  }

  @Test
  void patternsAreTakenBack() {
    long library = library("Naming patterns");
    long undo = keep(library, "A{DC}", "").number("undo");
    assertEquals(0, keep(library, "A{DC}", "").number("undo"));
    lead.post("/api/v1/trail/" + undo + "/undo", NOTHING);
    assertEquals("", lead.get("/api/v1/libraries/" + library + "/naming").text("code"));
  }

  @Test
  void twoWhoAskAtOnceGetDifferentCodes() throws Exception {
    long library = library("Naming at once");
    keep(library, "NR{DC}-{NO 2}", "");
    String path = "/api/v1/libraries/" + library + "/codes";
    Api other = as("PROGRAMMER");
    try (ExecutorService both = Executors.newFixedThreadPool(8)) {
      List<Callable<String>> asking = new ArrayList<>();
      for (int i = 0; i < 8; i++) {
        Api who = i % 2 == 0 ? lead : other;
        asking.add(() -> who.post(path, draft("", "", 6)).text("code"));
      }
      List<String> codes = new ArrayList<>();
      for (Future<String> asked : both.invokeAll(asking)) {
        codes.add(asked.get());
      }
      List<String> lead = codesOf(codes, 0);
      List<String> programmer = codesOf(codes, 1);
      assertTrue(lead.stream().noneMatch(programmer::contains), codes.toString());
    }
  }

  private static List<String> codesOf(List<String> codes, int who) {
    return Stream.iterate(who, i -> i + 2).limit(4).map(codes::get).toList();
  }

  @Test
  void aReservedCodeWaitsForWhoeverReservedIt() {
    long library = library("Naming reserved");
    String path = "/api/v1/libraries/" + library;
    assertEquals(201, lead.post(path + "/codes", draft("NW-1", "", 6)).status());
    Api other = as("PROGRAMMER");
    Api.Answer refused = other.post(path + "/tools", draft("NW-1", "mill", 6));
    assertEquals(409, refused.status());
    assertTrue(refused.text("detail").contains("is reserved by key "));
    assertEquals(409, other.post(path + "/codes", draft("nw-1", "", 6)).status());
    assertEquals(201, lead.post(path + "/tools", draft("NW-1", "mill", 6)).status());
  }

  @Test
  void aLibraryWithoutPatternSaysSo() {
    long library = library("Naming none");
    Api.Answer refused = lead.post("/api/v1/libraries/" + library + "/codes", draft("", "", 6));
    assertEquals(400, refused.status());
    assertTrue(refused.text("detail").contains("no pattern for codes"));
    keep(library, "{DC}-{COATING}", "");
    Api.Answer lacks = lead.post("/api/v1/libraries/" + library + "/codes", draft("", "", 6));
    assertEquals("the code needs COATING", lacks.text("detail"));
  }

  @Test
  void saysWhatTheControlOfAMachineCanCarry() {
    JsonNode all =
        lead.get("/api/v1/explain/comment?text=Corner-radius end mill 12 R1").at("items");
    JsonNode heron =
        all.valueStream()
            .filter(machine -> machine.get("machineId").asString().equals("M1"))
            .findFirst()
            .orElseThrow();
    assertTrue(all.valueStream().allMatch(machine -> machine.get("most").asInt() > 0));
    assertEquals("CORNER-R END MILL 12 R1", heron.get("text").asString());
    assertEquals(24, heron.get("most").asInt());
    assertNotEquals(0, heron.get("changes").size());
  }

  @Test
  void tellsWhatMayStandInAPattern() {
    JsonNode fields = lead.get("/api/v1/naming/fields").at("items");
    assertEquals("CLASS", fields.get(0).get("symbol").asString());
    assertTrue(fields.valueStream().anyMatch(field -> field.get("symbol").asString().equals("DC")));
  }
}
