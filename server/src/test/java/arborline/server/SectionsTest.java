package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Sections of libraries: two levels, an order, and tools in several. */
class SectionsTest extends ServerTest {

  private Shelves shelves;

  @BeforeEach
  void shelves() {
    shelves = new Shelves(lead);
  }

  private Api.Answer add(long library, String name, Object parent) {
    return lead.post(
        "/api/v1/libraries/%d/sections".formatted(library),
        parent == null ? Api.body("name", name) : Api.body("name", name, "parent", parent));
  }

  private Api.Answer change(long library, long section, Object... what) {
    return lead.send(
        "PATCH", "/api/v1/libraries/%d/sections/%d".formatted(library, section), Api.body(what));
  }

  private Api.Answer put(long library, long section, List<Long> tools) {
    return lead.post(
        "/api/v1/libraries/%d/sections/%d/tools".formatted(library, section),
        Api.body("tools", tools));
  }

  private Api.Answer delete(long library, long section) {
    return lead.send(
        "DELETE", "/api/v1/libraries/%d/sections/%d".formatted(library, section), Map.of());
  }

  private List<String> names(long library) {
    List<String> names = new ArrayList<>();
    lead.get("/api/v1/libraries/%d/sections".formatted(library))
        .at("items")
        .forEach(section ->
            names.add(
                (section.get("parent").isNull() ? "" : "- ") + section.get("name").asString()));
    return names;
  }

  @Test
  void sectionsStandInTheirOrderWithThoseInThem() {
    long library = shelves.library("Sections: order");
    long roughing = add(library, "Roughing", null).number("id");
    long finishing = add(library, "Finishing", null).number("id");
    add(library, "Long", roughing);
    long small = add(library, "Short", roughing).number("id");
    assertEquals(List.of("Roughing", "- Long", "- Short", "Finishing"), names(library));
    Api.Answer moved = change(library, finishing, "before", roughing);
    assertEquals(List.of("Finishing", "Roughing", "- Long", "- Short"), names(library));
    change(library, small, "parent", 0, "before", finishing);
    assertEquals(List.of("Short", "Finishing", "Roughing", "- Long"), names(library));
    change(library, small, "parent", roughing, "before", 0);
    assertEquals(200, moved.status());
    assertEquals(List.of("Finishing", "Roughing", "- Long", "- Short"), names(library));
  }

  @Test
  void aToolStandsInSeveralAndIsFoundInTheOuterOne() {
    long library = shelves.library("Sections: several");
    List<Long> tools = shelves.mills(library, "SEC-1", "SEC-2", "SEC-3");
    long roughing = add(library, "Roughing", null).number("id");
    long inner = add(library, "Long", roughing).number("id");
    long aluminium = add(library, "Aluminium", null).number("id");
    put(library, inner, tools.subList(0, 2));
    Api.Answer second = put(library, aluminium, List.of(tools.get(0)));
    assertEquals("Roughing / Long; Aluminium", shelves.sections(library).get("SEC-1"));
    assertEquals(2, shelves.rows(library, "&section=" + roughing).size());
    put(library, roughing, tools.subList(1, 3));
    assertEquals("[3, 2, 1]", counts(library));
    assertEquals(3, shelves.rows(library, "&section=" + roughing).size());
    assertEquals(1, shelves.rows(library, "&section=" + aluminium).size());
    change(library, roughing, "name", "Rough");
    assertEquals("Rough / Long; Aluminium", shelves.sections(library).get("SEC-1"));
    shelves.undo(second);
    assertEquals("Rough / Long", shelves.sections(library).get("SEC-1"));
  }

  private String counts(long library) {
    List<Long> counts = new ArrayList<>();
    lead.get("/api/v1/libraries/%d/sections".formatted(library))
        .at("items")
        .forEach(section -> counts.add(section.get("tools").asLong()));
    return counts.toString();
  }

  @Test
  void aDeletedSectionLeavesItsToolsAndComesBackWithThem() {
    long library = shelves.library("Sections: deleted");
    List<Long> tools = shelves.mills(library, "SED-1", "SED-2");
    long outer = add(library, "Job 12", null).number("id");
    long inner = add(library, "Side A", outer).number("id");
    put(library, outer, tools.subList(0, 1));
    put(library, inner, tools.subList(1, 2));
    Api.Answer deleted = delete(library, outer);
    assertEquals(List.of(), names(library));
    assertEquals(Map.of("SED-1", "", "SED-2", ""), shelves.sections(library));
    assertEquals(404, put(library, inner, tools).status());
    lead.send("DELETE", "/api/v1/libraries/%d/tools/%d".formatted(library, tools.get(0)), Map.of());
    shelves.undo(deleted);
    assertEquals(List.of("Job 12", "- Side A"), names(library));
    assertEquals(Map.of("SED-2", "Job 12 / Side A"), shelves.sections(library));
  }

  @Test
  void aSectionThatSomebodyDeletedMeanwhileIsNotMoved() {
    long library = shelves.library("Sections: gone");
    long section = add(library, "Gone", null).number("id");
    delete(library, section);
    Api.Answer refused = change(library, section, "name", "Here");
    assertEquals(404, refused.status());
    assertTrue(refused.text("detail").contains("no section"), refused.toString());
  }

  @Test
  void thereIsNoThirdLevelAndNoSecondSectionOfAName() {
    long library = shelves.library("Sections: levels");
    long outer = add(library, "Outer", null).number("id");
    long inner = add(library, "Inner", outer).number("id");
    long other = add(library, "Other", null).number("id");
    assertEquals(400, add(library, "Third", inner).status());
    assertEquals(409, change(library, outer, "parent", other).status());
    assertEquals(409, change(library, outer, "parent", outer).status());
    assertEquals(409, add(library, " OUTER ", null).status());
    assertEquals(400, add(library, "A / B", null).status());
    assertEquals(404, add(library, "Lost", 999_999_999L).status());
    assertEquals(409, change(library, other, "name", "outer").status());
    assertEquals(List.of("Outer", "- Inner", "Other"), names(library));
  }

  @Test
  void onlyToolsOfTheLibraryStandInItsSections() {
    long library = shelves.library("Sections: own");
    long foreign = shelves.library("Sections: foreign");
    List<Long> tools = shelves.mills(foreign, "SEF-1");
    long section = add(library, "Mine", null).number("id");
    assertEquals(404, put(library, section, tools).status());
    assertEquals(404, put(foreign, section, tools).status());
  }

  @Test
  void sectionsThatComeWithADeliveryAreMade() {
    long library = shelves.library("Sections: arriving");
    long delivery = lead.deliver("mills.csv", table("SEA", 2));
    lead.post(
        "/api/v1/deliveries/%d/accept".formatted(delivery),
        Api.body("library", library, "section", "Roughing / Long"));
    assertEquals(List.of("Roughing", "- Long"), names(library));
    assertEquals("Roughing / Long", shelves.sections(library).get("SEA-2"));
  }

  @Test
  void aToolThatWasTakenOutComesBackIntoItsSections() {
    long library = shelves.library("Sections: removed");
    List<Long> tools = shelves.mills(library, "SER-1");
    long section = add(library, "Back", null).number("id");
    put(library, section, tools);
    Api.Answer removed =
        lead.send(
            "DELETE", "/api/v1/libraries/%d/tools/%d".formatted(library, tools.get(0)), Map.of());
    shelves.undo(removed);
    assertEquals(Map.of("SER-1", "Back"), shelves.sections(library));
    assertEquals(1, shelves.rows(library, "&section=" + section).size());
  }
}
