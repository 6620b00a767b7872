package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.Supplier;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.context.ApplicationContext;
import org.springframework.test.util.ReflectionTestUtils;

/** Words that are sought, over the shop and within a library, whenever entries were changed. */
class SearchTest extends ServerTest {

  @Autowired ApplicationContext context;

  private List<String> found(String query) {
    List<String> codes = new ArrayList<>();
    lead.get("/api/v1/tools?limit=500&" + query)
        .at("items")
        .forEach(row -> codes.add(row.get("code").asString()));
    return codes;
  }

  /** The same answer from the moment of a change on until the table of words has followed it. */
  private void stays(List<String> codes, Supplier<List<String>> asked) {
    long behind;
    do {
      behind =
          jdbc.sql("select count(*) from entry where worded = false").query(Long.class).single();
      assertEquals(codes, asked.get());
    } while (behind > 0);
  }

  private static Map<String, Object> draft(String code, String name) {
    return Draft.of(code, name, "end-mill-flat", "DC=10 APMX=22 DMM=10 OAL=72 NOF=4");
  }

  private long tool(long library, String code, String name) {
    Api.Answer made = lead.post("/api/v1/libraries/%d/tools".formatted(library), draft(code, name));
    assertEquals(201, made.status(), made.body().toString());
    return made.number("toolId");
  }

  @Test
  void aToolIsFoundByTheBeginningsOfItsWordsAtOnceAndLater() {
    long library = library("Sought words");
    tool(library, "SW-0800R05", "Kugelfräser slim");
    tool(library, "SW-0900R05", "Kugelfraser wide");
    stays(List.of("SW-0800R05"), () -> found("q=sw0800"));
    stays(List.of("SW-0800R05"), () -> found("q=kugel 0800"));
    stays(List.of("SW-0800R05", "SW-0900R05"), () -> found("q=KUGELFRÄS r05"));
    stays(List.of(), () -> found("q=ugelfraser"));
  }

  @Test
  void aToolThatIsCalledOtherwiseIsNoLongerFoundByWhatItWasCalled() {
    long library = library("Sought anew");
    long id = tool(library, "SN-1", "Zwirbel");
    stays(List.of("SN-1"), () -> found("q=zwirb"));
    Api.Answer changed =
        lead.send("PUT", "/api/v1/tools/%d?version=1".formatted(id), draft("SN-1", "Quirlig"));
    assertEquals(200, changed.status(), changed.body().toString());
    stays(List.of("SN-1"), () -> found("q=quirl"));
    stays(List.of(), () -> found("q=zwirb"));
    assertEquals(
        204, lead.post("/api/v1/trail/%d/undo".formatted(changed.number("undo")), null).status());
    stays(List.of("SN-1"), () -> found("q=zwirb"));
  }

  @Test
  void aToolIsFoundByWhatHoldsItWhereverItStands() {
    long tool = tool(library("Sought in holders"), "SH-1", "Kugelig");
    Api.Answer chuck =
        lead.post("/api/v1/components", Draft.holder("SH-CHUCK-090", "Nadelschlank chuck"));
    Api.Answer kept =
        lead.post(
            "/api/v1/tools/%d/stacks".formatted(tool),
            Draft.stack(List.of(chuck.number("id")), 40));
    assertEquals(201, kept.status(), kept.body().toString());
    stays(List.of("SH-1"), () -> found("q=kugelig nadelschl"));
    long another = library("Sought in holders too");
    lead.post(
        "/api/v1/libraries/%d/copy".formatted(another),
        Api.body("tools", List.of(tool), "numbering", "keep"));
    stays(List.of("SH-1", "SH-1"), () -> found("q=chuck090 kugelig"));
    assertEquals(1, lead.get("/api/v1/tools/facets?q=nadelschl").at("classes").size());

    Map<String, Object> renamed = Draft.holder("SH-CHUCK-090", "Breitmaul chuck");
    assertEquals(
        200,
        lead.send("PUT", "/api/v1/components/%d?version=1".formatted(chuck.number("id")), renamed)
            .status());
    stays(List.of(), () -> found("q=nadelschl"));
    stays(List.of("SH-1", "SH-1"), () -> found("q=breitm"));

    long apart = lead.send("DELETE", "/api/v1/stacks/" + kept.number("id"), null).number("undo");
    stays(List.of(), () -> found("q=breitm"));
    assertEquals(204, lead.post("/api/v1/trail/%d/undo".formatted(apart), null).status());
    stays(List.of("SH-1", "SH-1"), () -> found("q=breitm"));
  }

  @Test
  void whatWasTakenOutAndBroughtBackIsFoundAgain() {
    long library = library("Sought again");
    tool(library, "SA-1", "Wirrwarr");
    long undo = lead.send("DELETE", "/api/v1/libraries/" + library, null).number("undo");
    assertEquals(List.of(), found("q=wirrw"));
    assertEquals(204, lead.post("/api/v1/trail/%d/undo".formatted(undo), null).status());
    stays(List.of("SA-1"), () -> found("q=wirrw"));
  }

  @Test
  void aToolIsFoundByASizeOfTheVersionThatItsLibraryHolds() {
    long library = library("Sought sizes");
    long id = tool(library, "SZ-1", "Sized");
    long pinning = library("Sought sizes, pinned");
    lead.post(
        "/api/v1/libraries/%d/copy".formatted(pinning),
        Api.body("tools", List.of(id), "numbering", "keep"));
    String held = "/api/v1/libraries/%d/versions".formatted(pinning);
    assertEquals(
        200, lead.send("PUT", held, Api.body("tools", List.of(id), "follow", false)).status());
    stays(List.of("SZ-1", "SZ-1"), () -> found("q=sized length 72"));
    Map<String, Object> longer =
        Draft.of("SZ-1", "Sized", "end-mill-flat", "DC=10 APMX=22 DMM=10 OAL=311.5 NOF=4");
    assertEquals(
        200, lead.send("PUT", "/api/v1/tools/%d?version=1".formatted(id), longer).status());
    stays(List.of("SZ-1"), () -> found("q=length 311.5"));
    stays(List.of("SZ-1"), () -> found("q=length 311..312 dia 10"));
    stays(List.of("SZ-1"), () -> found("q=sized length 72 depth>20"));
    stays(List.of(), () -> found("q=length 311..312 dia 11"));
    assertEquals(1, lead.get("/api/v1/tools/facets?q=length 311.5").number("total"));
    ReflectionTestUtils.invokeMethod(context.getBean("entryWords"), "sweep");
    assertEquals(List.of("SZ-1"), found("q=length 311.5"));
    assertEquals(List.of("SZ-1"), found("q=sized length 72"));
  }

  @ParameterizedTest
  @ValueSource(
      strings = {"reach>99999999999999999999999999999999999999", "dia 1..999999999999999999"})
  void sizesBeyondAllToolsAreNoFault(String sought) {
    assertEquals(200, lead.get("/api/v1/tools?q=" + sought).status());
    assertEquals(200, lead.get("/api/v1/tools/facets?q=" + sought).status());
  }

  @Test
  void moreWordsThanAnybodyTypesAreRefused() {
    assertEquals(200, lead.get("/api/v1/tools?q=" + "ab ".repeat(20)).status());
    Api.Answer refused = lead.get("/api/v1/tools?q=" + "ab ".repeat(21));
    assertEquals(400, refused.status());
    assertEquals("at most 20 words can be sought at once", refused.text("detail"));
    assertEquals(400, lead.get("/api/v1/tools/facets?q=" + "ab ".repeat(21)).status());
    assertEquals(400, lead.get("/api/v1/tools?q=" + "dia 6 ".repeat(21)).status());
    assertEquals(400, lead.get("/api/v1/tools/ids?q=" + "ab ".repeat(21)).status());
  }

  @Test
  void wordsThatLeadNowhereAreForgottenAtNight() {
    long library = library("Sought and swept");
    long id = tool(library, "SS-1", "Altwort");
    stays(List.of("SS-1"), () -> found("q=altw"));
    lead.send("PUT", "/api/v1/tools/%d?version=1".formatted(id), draft("SS-1", "Neuwort"));
    stays(List.of("SS-1"), () -> found("q=neuw"));
    ReflectionTestUtils.invokeMethod(context.getBean("entryWords"), "sweep");
    assertEquals(0, leading("altwort"));
    assertEquals(1, leading("neuwort"));
    assertEquals(List.of("SS-1"), found("q=neuw"));
  }

  private long leading(String word) {
    return jdbc.sql("select count(*) from entry_word where word = ?")
        .param(word)
        .query(Long.class)
        .single();
  }

  @Test
  void groupsOfManyPagesAreWholeAndInOrder() {
    List<Long> libraries = List.of(library("Pages one"), library("Pages two"));
    for (long library : libraries) {
      long delivery = lead.deliver("pages.csv", table("PGS" + library, 130));
      assertEquals(
          130,
          lead.post(
                  "/api/v1/deliveries/%d/accept".formatted(delivery), Api.body("library", library))
              .number("accepted"));
    }
    for (String group : List.of("library", "diameter", "class", "holder", "material")) {
      for (String order : List.of("", "&down=true", "&sort=name", "&sort=dc")) {
        List<String> groups = new ArrayList<>();
        List<String> codes = new ArrayList<>();
        String after = "";
        do {
          Api.Answer page = lead.get("/api/v1/tools?q=pgs&limit=17&group=" + group + order + after);
          page.at("items")
              .forEach(row -> {
                groups.add(row.get("group").asString());
                codes.add(row.get("code").asString());
              });
          after = page.at("next").isNull() ? "" : "&after=" + page.text("next");
        } while (!after.isEmpty());
        assertEquals(260, codes.stream().distinct().count(), group + order);
        assertEquals(260, codes.size(), group + order);
        List<String> joined = new ArrayList<>();
        groups.forEach(one -> {
          if (joined.isEmpty() || !joined.getLast().equals(one)) {
            joined.add(one);
          }
        });
        assertEquals(joined.size(), joined.stream().distinct().count(), group + order);
      }
    }
  }

  @Test
  void groupsOfHoldersAndMaterialsFollowWhatBelongsToTheirTools() {
    long library = library("Grouped belongings");
    long steel = tool(library, "GBL-3", "Grouped");
    long both = tool(library, "GBL-2", "Grouped");
    tool(library, "GBL-1", "Grouped");
    cut(steel, "p-alloy-annealed");
    long line = cut(both, "p-alloy-annealed");
    cut(both, "m-austenitic");
    long chuck =
        lead.post("/api/v1/components", Draft.holder("GBL-CHUCK", "Grouped chuck")).number("id");
    lead.post("/api/v1/tools/%d/stacks".formatted(both), Draft.stack(List.of(chuck), 40));
    assertEquals(
        List.of(": GBL-1", "m-austenitic, p-alloy-annealed: GBL-2", "p-alloy-annealed: GBL-3"),
        grouped("material"));
    assertEquals(List.of(": GBL-1", ": GBL-3", "GBL-CHUCK: GBL-2"), grouped("holder"));

    lead.send("DELETE", "/api/v1/cutting/" + line, null);
    assertEquals(
        List.of(": GBL-1", "m-austenitic: GBL-2", "p-alloy-annealed: GBL-3"), grouped("material"));
    lead.send(
        "PUT",
        "/api/v1/components/%d?version=1".formatted(chuck),
        Draft.holder("GBL-CHUCK-2", "Grouped chuck"));
    assertEquals(List.of(": GBL-1", ": GBL-3", "GBL-CHUCK-2: GBL-2"), grouped("holder"));

    long copy =
        lead.post(
                "/api/v1/libraries/%d/duplicate".formatted(library),
                Api.body("name", "Grouped belongings too"))
            .at("library")
            .get("id")
            .asLong();
    assertEquals(
        6, lead.get("/api/v1/tools?q=grouped gb&group=holder").at("items").size(), "copy " + copy);
    assertEquals(
        List.of(
            ": GBL-1", ": GBL-1", ": GBL-3", ": GBL-3", "GBL-CHUCK-2: GBL-2", "GBL-CHUCK-2: GBL-2"),
        grouped("holder"));
  }

  private long cut(long tool, String material) {
    Api.Answer kept =
        lead.post("/api/v1/tools/%d/cutting".formatted(tool), Draft.cutting(material, "CATALOGUE"));
    assertEquals(201, kept.status(), kept.body().toString());
    return kept.number("id");
  }

  private List<String> grouped(String by) {
    List<String> rows = new ArrayList<>();
    lead.get("/api/v1/tools?q=grouped gb&group=" + by)
        .at("items")
        .forEach(row -> rows.add(row.get("group").asString() + ": " + row.get("code").asString()));
    return rows;
  }

  @Test
  void filtersAreCountedByWhatTheyCouldBeChangedTo() {
    long library = library("Counted words");
    long delivery = lead.deliver("counted.csv", table("CTW", 40));
    lead.post("/api/v1/deliveries/%d/accept".formatted(delivery), Api.body("library", library));
    String facets = "/api/v1/libraries/%d/facets?q=ctw".formatted(library);
    assertEquals(40, lead.get(facets).number("total"));
    Api.Answer narrow = lead.get(facets + "&dia.min=6&dia.max=8&class=drill-twist");
    assertEquals(0, narrow.number("total"));
    assertEquals(6, narrow.at("classes").get(0).get("count").asLong());
    assertTrue(narrow.at("diameters").isEmpty());
    assertEquals(6, lead.get(facets + "&dia.min=6&dia.max=8").number("total"));
  }

  @AfterEach
  void whatBelongsToToolsStandsBesideThem() {
    entriesSayWhatBelongsToTheirTools();
  }
}
