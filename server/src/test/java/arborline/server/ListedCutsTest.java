package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Lists that say speed and feed of their tools in a work material. */
class ListedCutsTest extends ServerTest {

  private static final String STEEL = "p-alloy-annealed";

  private Shelves shelves;

  @BeforeEach
  void shelves() {
    shelves = new Shelves(lead);
  }

  private long line(long tool, String material, String origin, Object... changes) {
    return lead.post(
            "/api/v1/tools/%d/cutting".formatted(tool), Draft.cutting(material, origin, changes))
        .number("id");
  }

  private JsonNode cut(long library, String material) {
    return shelves.rows(library, "&material=" + material).getFirst().get("cut");
  }

  @Test
  void theLineOfTheMaterialStandsInTheList() {
    long library = shelves.library("Cuts: one material");
    long tool = shelves.mills(library, "CIM-1").getFirst();
    line(tool, STEEL, "catalogue", "speed", 180, "feed", 0.06, "depth", 0, "width", 2.5);
    line(tool, "m-austenitic", "catalogue", "speed", 90);
    JsonNode cut = cut(library, STEEL);
    assertEquals("rough", cut.get("purpose").asString());
    assertEquals(180, cut.get("speed").asDouble());
    assertEquals(0.06, cut.get("feed").asDouble());
    assertTrue(cut.get("depth").isNull(), "none is stated");
    assertEquals(2.5, cut.get("width").asDouble());
    assertEquals("catalogue", cut.get("origin").asString());
    assertEquals(0, cut.get("others").asInt());
    assertEquals(90, cut(library, "m-austenitic").get("speed").asDouble());
    assertTrue(cut(library, "k-grey").isNull());
    assertTrue(cut(library, "").isNull());
  }

  @Test
  void whatWasProvenComesBeforeWhatIsNew() {
    long library = shelves.library("Cuts: proven");
    long tool = shelves.mills(library, "CIM-2").getFirst();
    long proven = line(tool, STEEL, "fixed", "speed", 140);
    lead.send(
        "PUT",
        "/api/v1/cutting/%d/proven?version=1".formatted(proven),
        Api.body("machine", "M1", "speed", 165, "feed", 0.06));
    line(tool, STEEL, "catalogue", "speed", 200, "purpose", "finish");
    JsonNode cut = cut(library, STEEL);
    assertEquals(165, cut.get("speed").asDouble());
    assertEquals("proven", cut.get("origin").asString());
    assertEquals(1, cut.get("others").asInt());
  }

  @Test
  void aLineForAllMaterialsStandsWhereTheMaterialHasNone() {
    long library = shelves.library("Cuts: all materials");
    long tool = shelves.mills(library, "CIM-3").getFirst();
    line(tool, "", "fixed", "speed", 60);
    assertEquals(60, cut(library, STEEL).get("speed").asDouble());
    line(tool, STEEL, "fixed", "speed", 150);
    assertEquals(150, cut(library, STEEL).get("speed").asDouble());
  }

  @Test
  void theListOverAllLibrariesSaysItToo() {
    long library = shelves.library("Cuts: everywhere");
    line(shelves.mills(library, "CIM-4").getFirst(), STEEL, "catalogue", "speed", 111);
    List<JsonNode> rows =
        lead.get("/api/v1/tools?q=CIM-4&material=" + STEEL).at("items").valueStream().toList();
    assertEquals(111, rows.getFirst().at("/cut/speed").asDouble());
  }
}
