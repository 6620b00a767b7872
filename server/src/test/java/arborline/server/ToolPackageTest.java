package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** A tool leaves as a package of properties and solids, and comes back as what it was. */
class ToolPackageTest extends ServerTest {

  private static Map<String, Object> cylinder(int length, int diameter) {
    return Api.body("length", length, "from", diameter, "to", diameter);
  }

  private long component(String code, String machineSide, String workSide, List<Object> bodies) {
    return lead.post(
            "/api/v1/components",
            Api.body(
                "code",
                code,
                "name",
                "Part",
                "kind",
                "HOLDER",
                "machineSide",
                machineSide,
                "workSide",
                workSide,
                "bodies",
                bodies,
                "material",
                "STEEL",
                "clamping",
                36))
        .number("id");
  }

  private long tool(String code) {
    long library = library("Packed " + code);
    return lead.post(
            "/api/v1/libraries/%d/tools".formatted(library),
            Draft.of(
                code, "Mill 12", "end-mill-flat", "DC=12 APMX=26 LU=30 DMM=12 OAL=83 LF=83 NOF=4"))
        .number("toolId");
  }

  private JsonNode only(long delivery, String code) {
    JsonNode found = null;
    for (JsonNode line :
        lead.get("/api/v1/deliveries/%d/lines?limit=500".formatted(delivery)).at("items")) {
      if (line.get("code").asString().equals(code)) {
        found = line;
      }
    }
    return found;
  }

  @Test
  void aToolWithItsStackLeavesWithSolidsAndComesBackUnchanged() {
    long holder =
        component("TPK-H", "HT-A-63:m", "CY-HY-12:f", List.of(cylinder(26, 63), cylinder(60, 28)));
    long tool = tool("TPK-1");
    Api.Answer stack =
        lead.post(
            "/api/v1/tools/%d/stacks".formatted(tool),
            Api.body("name", "Slim", "components", List.of(holder), "overhang", 45));
    assertTrue(stack.status() < 300, stack.toString());
    byte[] zip = lead.bytes("/api/v1/tools/%d/package".formatted(tool));
    Map<String, byte[]> files = Zips.files(zip);
    assertEquals(
        Set.of("tpk-1.p21", "models/TPK-1.step", "models/TPK-1-in-Slim.step", "models/TPK-H.step"),
        files.keySet());
    String solid = new String(files.get("models/TPK-H.step"), StandardCharsets.US_ASCII);
    assertTrue(solid.contains("CYLINDRICAL_SURFACE"), solid);
    JsonNode before = lead.get("/api/v1/tools/" + tool).body();
    long delivery = lead.deliver("back.zip", zip);
    JsonNode line = only(delivery, "TPK-1");
    assertEquals("pass", line.get("disposition").asString(), line.toString());
    assertFalse(line.get("findings").toString().contains("model-"), line.toString());
    assertFalse(line.get("findings").toString().contains("changes-shop"), line.toString());
    lead.post(
        "/api/v1/deliveries/%d/accept".formatted(delivery),
        Api.body("library", library("Packed: back")));
    JsonNode after = lead.get("/api/v1/tools/" + tool).body();
    assertEquals(before.at("/answer/values"), after.at("/answer/values"));
    assertEquals(before.get("version"), after.get("version"));
    assertEquals(1, lead.get("/api/v1/tools/%d/stacks".formatted(tool)).at("items").size());
    long again = lead.deliver("again.zip", zip);
    assertEquals("skipped", only(again, "TPK-1").get("disposition").asString());
    assertEquals("skipped", only(again, "TPK-H").get("disposition").asString());
  }

  @Test
  void aToolThatIsNotThereHasNoPackage() {
    assertEquals(404, lead.get("/api/v1/tools/99999999/package").status());
  }
}
