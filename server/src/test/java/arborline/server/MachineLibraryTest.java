package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.node.ObjectNode;

/** The library that tools for a machine are picked from first, and the edition that it cites. */
class MachineLibraryTest extends ServerTest {

  private long library;
  private long edition;
  private String machine;

  @BeforeEach
  void aPublishedLibrary() {
    library = library("Machine library " + System.nanoTime());
    lead.post("/api/v1/libraries/%d/tools".formatted(library), Draft.mill("ML-" + library, "10"));
    edition = publish();
    String unique = Long.toString(System.nanoTime(), 36).toUpperCase();
    machine = "ML" + unique.substring(unique.length() - 8);
    ObjectNode definition = (ObjectNode) lead.get("/api/v1/machines/M1").at("machine").deepCopy();
    definition.put("id", machine).put("name", "Library " + machine);
    assertEquals(201, lead.post("/api/v1/machines", Api.body("machine", definition)).status());
  }

  private long publish() {
    return lead.post("/api/v1/libraries/%d/editions".formatted(library), Api.body()).number("id");
  }

  private Api.Answer choose(Object... choice) {
    return lead.send("PUT", "/api/v1/machines/%s/library".formatted(machine), Api.body(choice));
  }

  private Api.Answer machine() {
    return lead.get("/api/v1/machines/" + machine);
  }

  @Test
  void isChosenCitesAnEditionSaysTheNewestAndIsTakenBack() {
    assertTrue(machine().at("library").isNull());
    Api.Answer chosen = choose("library", library, "edition", edition);
    assertEquals(200, chosen.status(), chosen.toString());
    lead.post("/api/v1/libraries/%d/tools".formatted(library), Draft.mill("ML-B" + library, "12"));
    publish();
    assertEquals(library, machine().at("library").get("libraryId").asLong());
    assertEquals(1, machine().at("library").get("edition").asInt());
    assertEquals(2, machine().at("library").get("newest").asInt());
    assertEquals(
        204, lead.post("/api/v1/trail/%d/undo".formatted(chosen.number("undo")), null).status());
    assertTrue(machine().at("library").isNull());
  }

  @Test
  void keepsItsLibraryFromBeingDeleted() {
    choose("library", library);
    Api.Answer refused = lead.send("DELETE", "/api/v1/libraries/" + library, null);
    assertEquals(409, refused.status());
    assertTrue(
        refused.text("detail").contains("machine Library " + machine), refused.text("detail"));
    choose();
    assertEquals(200, lead.send("DELETE", "/api/v1/libraries/" + library, null).status());
  }

  @Test
  void isNotChosenWhereItIsNotThereOrTheEditionIsOfAnother() {
    long other = library("Another " + System.nanoTime());
    assertEquals(400, choose("library", other, "edition", edition).status());
    assertEquals(400, choose("edition", edition).status());
    assertEquals(404, choose("library", 987654321).status());
    assertEquals(
        403,
        as("OPERATOR")
            .send(
                "PUT",
                "/api/v1/machines/%s/library".formatted(machine),
                Api.body("library", library))
            .status());
  }

  private long pickedFrom() {
    return lead.get("/api/v1/machines/%s/picked-from".formatted(machine)).number("library");
  }

  @Test
  void toolsArePickedFromWhereSomethingForTheMachineIs() {
    long inserts = library("Only inserts " + machine);
    long mills = library("Mills " + machine);
    for (int i = 0; i < 30; i++) {
      lead.post(
          "/api/v1/libraries/%d/tools".formatted(inserts),
          Draft.of(
              "MLI%d-%d".formatted(i, inserts),
              "Insert",
              "insert",
              "IC=12.7 S=4.76 RE=0.8 EPSR=80"));
    }
    long mill =
        lead.post("/api/v1/libraries/%d/tools".formatted(mills), Draft.mill("MLM-" + mills, "10"))
            .number("toolId");
    long picked = pickedFrom();
    assertTrue(picked != inserts, "no insert goes into a mill");
    lead.send(
        "PUT",
        "/api/v1/machines/%s/plan/3".formatted(machine),
        Api.body("toolId", mill, "libraryId", mills));
    assertEquals(mills, pickedFrom(), "most of its tools come from there");
    choose("library", library);
    assertEquals(library, pickedFrom());
    assertEquals(404, lead.get("/api/v1/machines/NONE/picked-from").status());
  }
}
