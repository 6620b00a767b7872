package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** What holders and stacks were, and how that stands again. */
class PartHistoryTest extends ServerTest {

  private static Map<String, Object> holder(String code, int length) {
    return Api.body(
        "code", code,
        "name", "Shrink chuck",
        "kind", "HOLDER",
        "machineSide", "ST-JD-40:m",
        "workSide", "CY-SF-10:f",
        "bodies", List.of(Api.body("length", length, "from", 44, "to", 24)),
        "material", "STEEL",
        "clamping", 28);
  }

  private long added(String code) {
    return lead.post("/api/v1/components", holder(code, 60)).number("id");
  }

  private void lengthened(long id, String code, int version, int length) {
    Api.Answer changed =
        lead.send(
            "PUT", "/api/v1/components/%d?version=%d".formatted(id, version), holder(code, length));
    assertEquals(200, changed.status(), changed.toString());
  }

  private List<Long> lengths(long id) {
    return lead.get("/api/v1/components/%d/versions".formatted(id))
        .at("items")
        .valueStream()
        .map(version -> version.at("/bodies/0/length").asLong())
        .toList();
  }

  private Api.Answer back(String owner, long id, int base, int version) {
    return lead.post(
        "/api/v1/%s/%d/back".formatted(owner, id), Api.body("base", base, "version", version));
  }

  @Test
  void everyVersionOfAHolderIsThereAndCanStandAgain() {
    long id = added("PH-1");
    lengthened(id, "PH-1", 1, 70);
    lengthened(id, "PH-1", 2, 80);
    assertEquals(List.of(80L, 70L, 60L), lengths(id));
    Api.Answer done = back("components", id, 3, 1);
    assertEquals(4, done.number("version"), done.toString());
    assertEquals(List.of(60L, 80L, 70L, 60L), lengths(id));
    assertEquals(
        204, lead.post("/api/v1/trail/%d/undo".formatted(done.number("undo")), null).status());
    assertEquals(80L, lengths(id).getFirst());
  }

  @Test
  void whoLookedAtAnEarlierVersionIsToldSo() {
    long id = added("PH-2");
    lengthened(id, "PH-2", 1, 70);
    assertEquals(409, back("components", id, 1, 1).status());
    assertEquals(404, back("components", id, 2, 9).status());
    assertEquals(409, back("components", id, 2, 2).status());
    assertEquals(404, back("components", 999_999_999, 1, 1).status());
    assertEquals(404, lead.get("/api/v1/components/999999999/versions").status());
    assertEquals(
        403,
        as("VISITOR")
            .post("/api/v1/components/%d/back".formatted(id), Api.body("base", 2, "version", 1))
            .status());
    assertEquals(List.of(70L, 60L), lengths(id));
  }

  @Test
  void aStackSaysWhatItWasMadeOfAndCanBeThatAgain() {
    long part = added("PH-3");
    long library = library("Part history");
    long tool =
        lead.post(
                "/api/v1/libraries/%d/tools".formatted(library),
                Draft.of("PH-T", "Mill", "end-mill-flat", "DC=10 APMX=22 DMM=10 OAL=72 NOF=4"))
            .number("toolId");
    Map<String, Object> draft =
        Api.body("name", "Short", "seat", "", "components", List.of(part), "overhang", 40);
    long id = lead.post("/api/v1/tools/%d/stacks".formatted(tool), draft).number("id");
    draft.put("overhang", 44);
    assertEquals(
        200, lead.send("PUT", "/api/v1/stacks/%d?version=1".formatted(id), draft).status());
    JsonNode versions = lead.get("/api/v1/stacks/%d/versions".formatted(id)).at("items");
    assertEquals("44 mm", versions.at("/0/fields/OVERHANG").asString());
    assertEquals("40 mm", versions.at("/1/fields/OVERHANG").asString());
    assertEquals("PH-3", versions.at("/1/fields/PARTS").asString());
    assertTrue(versions.at("/1/at").asString().endsWith("Z"));
    Api.Answer done = back("stacks", id, 2, 1);
    assertEquals(40, done.at("overhang").asDouble(), done.toString());
    assertEquals(409, back("stacks", id, 2, 1).status());
    assertEquals(404, back("stacks", id, 3, 9).status());
  }

  @Test
  void aListSaysInWhichHolderAToolIsAndGroupsByIt() {
    long library = library("In holders");
    for (String code : List.of("PH-B", "PH-A", "PH-C")) {
      lead.post(
          "/api/v1/libraries/%d/tools".formatted(library),
          Draft.of(code, "Mill", "end-mill-flat", "DC=10 APMX=22 DMM=10 OAL=72 NOF=4"));
    }
    String list = "/api/v1/libraries/%d/tools".formatted(library);
    long held = lead.get(list + "?q=ph-b").at("items").get(0).get("toolId").asLong();
    lead.post(
        "/api/v1/tools/%d/stacks".formatted(held),
        Api.body("name", "", "seat", "", "components", List.of(added("PH-4")), "overhang", 40));
    assertTrue(lead.get(list).at("items").get(0).get("uses").isNull());
    assertEquals(
        List.of("PH-A", "PH-C", "PH-B PH-4"),
        lead.get(list + "?uses=true&group=holder")
            .at("items")
            .valueStream()
            .map(row ->
                (row.get("code").asString() + " " + row.at("/uses/holder").asString()).strip())
            .toList());
    assertEquals(
        List.of("PH-B", "PH-C", "PH-A"),
        lead.get(list + "?sort=holder&down=true")
            .at("items")
            .valueStream()
            .map(row -> row.get("code").asString())
            .toList());
  }
}
