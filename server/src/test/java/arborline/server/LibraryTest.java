package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNull;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class LibraryTest extends ServerTest {

  private long filled(String name, String prefix, int count) {
    long library = library(name);
    long delivery = lead.deliver(name + ".csv", table(prefix, count));
    lead.post(
        "/api/v1/deliveries/%d/accept".formatted(delivery),
        Api.body("library", library, "numbering", "keep"));
    return library;
  }

  @Test
  void pagingVisitsEveryToolOnceInOrder() {
    long library = filled("Paged", "PAGE", 250);
    for (String sort : List.of("code", "dc", "number")) {
      List<Long> seen = new ArrayList<>();
      String after = "";
      do {
        Api.Answer page =
            lead.get(
                "/api/v1/libraries/%d/tools?limit=60&sort=%s%s".formatted(library, sort, after));
        page.at("items").forEach(row -> seen.add(row.get("toolId").asLong()));
        after = page.at("next").isNull() ? null : "&after=" + page.text("next");
      } while (after != null);
      assertEquals(250, seen.size(), sort);
      assertEquals(250, seen.stream().distinct().count(), sort);
    }
  }

  @Test
  void filtersNarrowByClassDiameterAndWords() {
    long library = filled("Narrowed", "NARROW", 40);
    String path = "/api/v1/libraries/%d/tools?".formatted(library);
    assertEquals(6, lead.get(path + "dia.min=6&dia.max=8").at("items").size());
    assertEquals(6, lead.get(path + "q=dia 6..8").at("items").size());
    assertEquals(0, lead.get(path + "q=flutes 3").at("items").size());
    assertEquals(1, lead.get(path + "q=narrow-40").at("items").size());
    assertEquals(0, lead.get(path + "class=reamer").at("items").size());
    Api.Answer facets = lead.get("/api/v1/libraries/%d/facets?class=reamer".formatted(library));
    assertEquals(40, facets.at("classes").get(0).get("count").asLong());
    assertEquals(0, facets.number("total"));
  }

  @Test
  void savingMakesAVersionAndUndoBringsTheOldOneBack() {
    long library = library("Versions");
    long tool =
        lead.post("/api/v1/libraries/%d/tools".formatted(library), Draft.mill("VER-1", "10"))
            .number("toolId");
    Api.Answer saved =
        lead.send(
            "PUT", "/api/v1/tools/%d?version=1".formatted(tool), Draft.mill("VER-1", "1/2\""));
    assertEquals(2, saved.number("version"));
    Api.Answer sheet = lead.get("/api/v1/tools/" + tool);
    assertEquals("12.7", sheet.at("answer").at("/values/DC/mm").asString());
    assertEquals("DC 10 mm to 1/2 in", sheet.at("history").get(0).get("changes").get(0).asString());
    lead.post("/api/v1/trail/%d/undo".formatted(saved.number("undo")), null);
    Api.Answer back = lead.get("/api/v1/tools/" + tool);
    assertEquals("10", back.at("answer").at("/values/DC/text").asString());
    assertEquals(3, back.number("version"));
  }

  @Test
  void twoPeopleChangingDifferentFieldsAreMergedTheSameFieldIsAsked() {
    long library = library("Merged");
    long tool =
        lead.post("/api/v1/libraries/%d/tools".formatted(library), Draft.mill("MERGE-1", "10"))
            .number("toolId");
    String path = "/api/v1/tools/%d?version=1".formatted(tool);
    assertEquals(2, lead.send("PUT", path, Draft.mill("MERGE-1", "11")).number("version"));
    Map<String, Object> renamed = Draft.mill("MERGE-1", "10");
    renamed.put("name", "Better mill");
    assertEquals(3, lead.send("PUT", path, renamed).number("version"));
    Api.Answer sheet = lead.get("/api/v1/tools/" + tool);
    assertEquals("Better mill", sheet.text("name"));
    assertEquals("11", sheet.at("answer").at("/values/DC/text").asString());
    Api.Answer conflict = lead.send("PUT", path, Draft.mill("MERGE-1", "12"));
    assertEquals(409, conflict.status());
    assertEquals("DC", conflict.at("details").get(0).get("symbol").asString());
  }

  @Test
  void whatCannotBeIsNotSaved() {
    long library = library("Sound");
    String path = "/api/v1/libraries/%d/tools".formatted(library);
    Api.Answer text = lead.post(path, Draft.mill("BAD-1", "ten"));
    assertEquals(409, text.status());
    assertTrue(text.text("detail").contains("'ten': not a number"));
    lead.post(path, Draft.mill("GOOD-1", "10"));
    assertEquals(409, lead.post(path, Draft.mill("good-1", "10")).status());
  }

  @Test
  void copyTakesTheNextFreeCodeAndTakingOutCanBeUndone() {
    long library = library("Copies");
    String path = "/api/v1/libraries/%d/tools".formatted(library);
    long tool = lead.post(path, Draft.mill("COPY-1", "10")).number("toolId");
    long copy = lead.post(path + "/%d/copy".formatted(tool), null).number("toolId");
    assertEquals("COPY-1-2", lead.get("/api/v1/tools/" + copy).text("code"));
    long undo = lead.send("DELETE", path + "/" + tool, null).number("undo");
    assertEquals(1, lead.get("/api/v1/libraries/" + library).number("tools"));
    lead.post("/api/v1/trail/%d/undo".formatted(undo), null);
    assertEquals(2, lead.get("/api/v1/libraries/" + library).number("tools"));
    assertEquals(409, lead.post("/api/v1/trail/%d/undo".formatted(undo), null).status());
  }

  @Test
  void draftIsAnsweredWithFindingsAndOutline() {
    Api.Answer answer = lead.post("/api/v1/tools/check", Draft.mill("DRAFT-1", "10"));
    assertEquals(72 + 11, answer.at("outline").get("length").asInt());
    Map<String, Object> deep = Draft.mill("DRAFT-1", "10");
    ((Map<String, Object>) deep.get("values")).put("LU", Api.body("text", "15"));
    Api.Answer finding = lead.post("/api/v1/tools/check", deep);
    assertEquals("depth-beyond-usable", finding.at("findings").get(0).get("code").asString());
  }

  @Test
  void exportSaysWhatItWouldRound() {
    long library = filled("Losses", "LOSS", 3);
    String path = "/api/v1/libraries/%d/losses?format=csv".formatted(library);
    assertEquals(0, lead.get(path).number("count"));
    assertTrue(lead.get(path + "&unit=in").number("count") > 0);
    assertEquals(400, lead.get(path + "&unit=furlong").status());
    assertEquals(400, lead.get(path.replace("csv", "papyrus")).status());
  }

  @Test
  void lookersMayLookButNotChange() {
    Api visitor = as("VISITOR");
    assertEquals(200, visitor.get("/api/v1/libraries").status());
    assertEquals(403, visitor.post("/api/v1/libraries", Api.body("name", "No")).status());
    assertEquals(
        403, visitor.send("PUT", "/api/v1/tools/1?version=1", Draft.mill("X", "1")).status());
    assertEquals(401, new Api(port, "no-such-key").get("/api/v1/libraries").status());
  }

  @Test
  void quantitiesAreExplained() {
    Api.Answer inch = lead.get("/api/v1/explain/quantity?text=1/2&from=in&to=mm&decimals=3");
    assertEquals("12.700", inch.text("rounded"));
    Api.Answer bad = lead.get("/api/v1/explain/quantity?text=1,250&from=in&to=mm");
    assertEquals(false, bad.at("valid").asBoolean());
    assertNull(bad.at("exact").asStringOpt().orElse(null));
  }
}
