package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.InputStream;
import java.net.URI;
import java.net.URLConnection;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** What the list of a library answers to its filters, orders and pages. */
class ToolListTest extends ServerTest {

  private static final String HEADER =
      "CODE,NAME,CLASS,NUMBER,DC [mm],APMX [mm],LU [mm],LCF [mm],DMM [mm],OAL [mm],NOF,SIG [deg]\n";

  private String list;
  private long library;

  @BeforeEach
  void shelve() {
    var known =
        jdbc.sql("select id from library where name = 'Listed'").query(Long.class).optional();
    library = known.isPresent() ? known.get() : filled();
    list = "/api/v1/libraries/%d/tools?".formatted(library);
  }

  private long filled() {
    long made = library("Listed");
    StringBuilder table = new StringBuilder(HEADER);
    for (int i = 1; i <= 12; i++) {
      table.append(
          "LST_%02d,Mill %c,end-mill-flat,%d,%d,10,%d,40,20,90,%d,\n"
              .formatted(i, 'A' + (13 - i), i * 3 % 13 + 100, 6 + i, 20 + i, 2 + i % 3));
    }
    table.append("LST-D1,Drill 50% off,drill-twist,200,8.5,,60,68,8.5,110,2,140\n");
    table.append("LSTXD2,Drill plain,drill-twist,201,8.5,,60,68,8.5,110,2,118\n");
    long delivery = lead.deliver("listed.csv", table.toString());
    Api.Answer taken =
        lead.post(
            "/api/v1/deliveries/%d/accept".formatted(delivery),
            Api.body("library", made, "numbering", "keep"));
    assertEquals(14, taken.number("accepted"), taken.toString());
    return made;
  }

  private List<String> column(String query, String name) {
    List<String> seen = new ArrayList<>();
    lead.get(list + query).at("items").forEach(row -> seen.add(row.get(name).asString()));
    return seen;
  }

  private List<String> codes(String query) {
    return column(query, "code");
  }

  @Test
  void conditionsMeetSizesThatAreNotColumns() {
    assertEquals(List.of("LST_08", "LST_09", "LST_10"), codes("q=reach 28..30"));
    assertEquals(List.of("LST_11", "LST_12"), codes("q=reach >= 31 mill"));
    assertEquals(List.of("LST-D1"), codes("q=point 140"));
    assertEquals(List.of("LST_03", "LST_06", "LST_09", "LST_12"), codes("q=flutes 2 mill"));
    assertEquals(List.of("LST_06"), codes("q=flutes 2 dia 12"));
  }

  @Test
  void anInchIsFoundAmongMillimetres() {
    assertEquals(List.of("LST_06", "LST_07"), codes("q=dia 15/32in..0.52in"));
  }

  @Test
  void signsBetweenLettersMeanNothing() {
    assertEquals(List.of("LST-D1"), codes("q=LST_D1"));
    assertEquals(List.of("LST-D1"), codes("q=lstd"));
    assertEquals(14, codes("q=LST").size());
    assertEquals(List.of("LST-D1"), codes("q=50%"));
    assertEquals(List.of(), codes("q=%"));
    assertEquals(List.of(), codes("q=\\"));
  }

  @Test
  void severalClassesAreAnyOfThem() {
    assertEquals(2, codes("class=drill-twist").size());
    assertEquals(14, codes("class=drill-twist&class=end-mill-flat").size());
    assertEquals(2, codes("class=drill-twist&class=reamer").size());
  }

  @Test
  void everyOrderRunsBothWays() {
    for (String sort :
        List.of(
            "code", "name", "number", "dc", "class", "section", "library", "holder", "material")) {
      List<String> up = pages("sort=" + sort);
      List<String> down = pages("sort=" + sort + "&down=true");
      assertEquals(14, up.stream().distinct().count(), sort);
      assertEquals(up.reversed(), down, sort);
    }
    List<String> names = column("sort=name", "name");
    assertEquals(names.stream().sorted(Comparator.naturalOrder()).toList(), names);
  }

  @Test
  void aGroupedListHasEachGroupTogetherAndEveryToolOnce() {
    for (String group : List.of("class", "diameter", "section", "library", "holder", "material")) {
      for (String order : List.of("sort=name", "sort=dc&down=true", "sort=class")) {
        String query = "group=%s&%s".formatted(group, order);
        List<String> paged = pages(query);
        assertEquals(14, paged.stream().distinct().count(), query);
        assertEquals(14, paged.size(), query);
        assertEquals(column(query, "code"), paged, query);
        List<String> groups = column(query, "group");
        assertEquals(
            groups.stream().distinct().count(),
            1
                + IntStream.range(1, groups.size())
                    .filter(i -> !groups.get(i).equals(groups.get(i - 1)))
                    .count(),
            query + groups);
      }
    }
    assertEquals("drill-twist", column("group=class", "group").getFirst());
    assertEquals(400, lead.get(list + "group=code").status());
    assertEquals(400, lead.get(list + "group=nothing").status());
  }

  /** All codes, three a page. */
  private List<String> pages(String query) {
    List<String> seen = new ArrayList<>();
    String after = "";
    while (after != null) {
      Api.Answer page = lead.get(list + query + "&limit=3" + after);
      page.at("items").forEach(row -> seen.add(row.get("code").asString()));
      after = page.at("next").isNull() ? null : "&after=" + page.text("next");
    }
    return seen;
  }

  @Test
  void wrongQuestionsAreRefusedInWords() {
    Api.Answer sort = lead.get(list + "sort=weight");
    assertEquals(400, sort.status());
    assertTrue(sort.text("detail").startsWith("sort is one of "), sort.text("detail"));
    for (String cursor : List.of("nonsense", "MTIz", "!!")) {
      Api.Answer answer = lead.get(list + "sort=number&after=" + cursor);
      assertEquals(400, answer.status(), cursor);
    }
    assertEquals(404, lead.get("/api/v1/libraries/999999/tools").status());
    assertEquals(404, lead.get("/api/v1/libraries/999999/facets").status());
  }

  @Test
  void facetsCountWhatTheOtherFiltersLeave() {
    Api.Answer facets =
        lead.get(
            "/api/v1/libraries/%d/facets?class=drill-twist&dia.min=8&dia.max=9".formatted(library));
    assertEquals(2, facets.number("total"));
    List<String> classes = new ArrayList<>();
    facets
        .at("classes")
        .forEach(
            facet -> classes.add(facet.get("id").asString() + " " + facet.get("count").asLong()));
    assertEquals(List.of("drill-twist 2", "end-mill-flat 2"), classes);
    long drills =
        facets
            .at("diameters")
            .valueStream()
            .filter(bar -> bar.get("from").asDouble() == 8)
            .mapToLong(bar -> bar.get("count").asLong())
            .sum();
    assertEquals(2, drills);
    long all =
        facets.at("diameters").valueStream().mapToLong(bar -> bar.get("count").asLong()).sum();
    assertEquals(2, all);
  }

  @Test
  void aRowSaysWhatAListShows() {
    var row = lead.get(list + "q=LST-D1").at("items").get(0);
    assertEquals("twist drill", row.get("classTitle").asString());
    assertEquals(200, row.get("number").asInt());
    assertEquals("140", row.at("/values/SIG/text").asString());
    assertEquals("8.5", row.at("/values/DC/mm").asString());
    assertEquals("0.3346", row.at("/values/DC/inch").asString());
    assertEquals(110, row.at("/outline/length").asDouble());
  }

  /** Larger than what the container keeps together by itself. */
  @Test
  void aPageOfToolsLeavesInOnePieceWithItsLengthInFront() throws Exception {
    URLConnection page =
        URI.create("http://127.0.0.1:%d%s".formatted(port, list)).toURL().openConnection();
    page.setRequestProperty("Authorization", "Bearer key-LEAD");
    try (InputStream body = page.getInputStream()) {
      int length = body.readAllBytes().length;
      assertTrue(length > 8192, "%d bytes".formatted(length));
      assertEquals(length, page.getContentLength());
    }
  }
}
