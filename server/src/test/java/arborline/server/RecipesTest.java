package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** How a foreign table is read is decided once, saved, found again and exchanged. */
class RecipesTest extends ServerTest {

  private static String list(String code, String headers) {
    return headers
        + "\n%s-1;8;118;8x72;4\n%s-2;10;140;10x80;5\n%s-3;12;118;12x90;6\n"
            .formatted(code, code, code);
  }

  private static final String HEADERS = "Krume;Durchm.;Winkel X;Mass;Fach";

  private static Map<String, Object> choice(Object... columns) {
    Map<String, Object> decided = new LinkedHashMap<>();
    for (int i = 0; i < columns.length; i += 2) {
      decided.put(columns[i].toString(), columns[i + 1]);
    }
    return Api.body("columns", decided);
  }

  private static Map<String, Object> symbol(String symbol) {
    return Api.body("symbol", symbol);
  }

  private static List<String> cells(JsonNode lines, String symbol) {
    return StreamSupport.stream(lines.spliterator(), false)
        .map(line -> line.at("/cells/%s/text".formatted(symbol)).asString(""))
        .toList();
  }

  private long decided(String code) {
    long id = lead.deliver(code + ".csv", list(code, HEADERS));
    Map<String, Object> choice =
        choice(
            0, symbol("CODE"),
            2, symbol("SIG"),
            3, Api.body("symbol", "NOTE", "split", "{DC}x{OAL}"));
    choice.put("constants", Api.body("CLASS", "drill-twist"));
    assertEquals(
        202, lead.send("PUT", "/api/v1/deliveries/%d/reading".formatted(id), choice).status());
    lead.untilRead(id);
    return id;
  }

  private JsonNode lines(long id) {
    return lead.get("/api/v1/deliveries/%d/lines".formatted(id)).at("items");
  }

  @Test
  void whatIsDecidedOnceIsUsedForTheNextTableOfItsKind() {
    long first = decided("RCA");
    assertEquals(List.of("118", "140", "118"), cells(lines(first), "SIG"));
    assertEquals(List.of("72", "80", "90"), cells(lines(first), "OAL"));
    assertEquals("drill-twist", lines(first).get(0).get("classId").asString());
    Api.Answer saved =
        lead.post("/api/v1/deliveries/%d/recipe".formatted(first), Api.body("name", "Krume list"));
    assertEquals(201, saved.status());
    assertEquals(1, saved.number("number"));
    long next = lead.deliver("RCB.csv", list("RCB", HEADERS));
    JsonNode reading = lead.get("/api/v1/deliveries/" + next).at("reading");
    assertEquals("Krume list", reading.at("/recipe/name").asString());
    assertEquals("recipe Krume list, 1", reading.at("/columns/2/evidence").asString());
    assertEquals(List.of("72", "80", "90"), cells(lines(next), "OAL"));
    long plain = lead.deliver("RCC.csv", list("RCC", HEADERS.replace("Winkel X", "W")));
    assertTrue(lead.get("/api/v1/deliveries/" + plain).at("reading").at("/recipe").isNull());
  }

  @Test
  void savingAgainIsTheNextVersionAndBothCanBeCarriedToAnotherShop() {
    long delivery = decided("RCD");
    String save = "/api/v1/deliveries/%d/recipe".formatted(delivery);
    lead.post(save, Api.body("name", "Twice"));
    Api.Answer second = lead.post(save, Api.body("name", " twice "));
    assertEquals(2, second.number("number"));
    String file =
        new String(
            lead.bytes("/api/v1/recipes/%d/file".formatted(second.number("id"))),
            StandardCharsets.UTF_8);
    JsonNode body = JsonMapper.builder().build().readTree(file);
    assertEquals("arbor-line-recipe", body.get("format").asString());
    assertEquals("{DC}x{OAL}", body.at("/columns/Mass/split").asString());
    Api.Answer back =
        lead.raw(
            "POST", java.net.URI.create("/api/v1/recipes"), file.replace("twice", "Elsewhere"));
    assertEquals(201, back.status());
    assertEquals(1, back.number("number"));
  }

  @Test
  void aRecipeIsChosenByNameAndWhatItMissesIsSaid() {
    long delivery = decided("RCE");
    lead.post("/api/v1/deliveries/%d/recipe".formatted(delivery), Api.body("name", "Chosen"));
    long other = lead.deliver("RCF.csv", list("RCF", "Krume;Durchm.;Winkel Y;Mass;Fach"));
    Map<String, Object> choice = Api.body("recipe", "chosen");
    lead.send("PUT", "/api/v1/deliveries/%d/reading".formatted(other), choice);
    lead.untilRead(other);
    JsonNode used = lead.get("/api/v1/deliveries/" + other).at("reading").get("recipe");
    assertEquals("Winkel X", used.at("/missing/0").asString());
    assertEquals(List.of("72", "80", "90"), cells(lines(other), "OAL"));
    choice.put("recipe", "no such recipe");
    assertEquals(
        404, lead.send("PUT", "/api/v1/deliveries/%d/reading".formatted(other), choice).status());
  }

  @Test
  void theFirstToolsAreShownBeforeAnythingIsDecided() {
    long delivery = lead.deliver("RCG.csv", list("RCG", HEADERS));
    Api.Answer preview =
        lead.post(
            "/api/v1/deliveries/%d/preview".formatted(delivery),
            choice(0, symbol("CODE"), 1, symbol("DC")));
    assertEquals(List.of("8", "10", "12"), cells(preview.at("lines"), "DC"));
    assertEquals("SIG", preview.at("reading").at("/columns/2/guess").asString());
    assertEquals("118", preview.at("reading").at("/columns/2/samples/0").asString());
    assertTrue(
        lead.get("/api/v1/deliveries/" + delivery)
            .at("reading")
            .at("/columns/1/decision")
            .isNull());
  }

  @Test
  void whatCannotBeDecidedIsRefusedWithItsColumn() {
    long delivery = lead.deliver("RCH.csv", list("RCH", HEADERS));
    String path = "/api/v1/deliveries/%d/reading".formatted(delivery);
    refused(path, choice(0, symbol("WHATEVER")), "column Krume: 'WHATEVER' is not a symbol");
    refused(path, choice(9, symbol("DC")), "there is no column 9");
    refused(path, choice(1, Api.body("symbol", "DC", "unit", "deg")), "DC is not measured in deg");
    refused(path, choice(1, Api.body("symbol", "DC", "factor", "0")), "'0' is no factor");
    refused(path, choice(3, Api.body("symbol", "", "split", "DC")), "name each piece in braces");
    Api.Answer nameless =
        lead.post("/api/v1/deliveries/%d/recipe".formatted(delivery), Api.body("name", " "));
    assertEquals(400, nameless.status());
    assertEquals(400, lead.post("/api/v1/recipes", Api.body("format", "x")).status());
  }

  private void refused(String path, Map<String, Object> choice, String reason) {
    Api.Answer answer = lead.send("PUT", path, choice);
    assertEquals(400, answer.status());
    assertTrue(answer.text("detail").contains(reason), answer.text("detail"));
  }

  @Test
  void aDeletedRecipeIsUsedNoMoreUntilItIsBroughtBack() {
    long delivery = decided("RCI");
    long id =
        lead.post("/api/v1/deliveries/%d/recipe".formatted(delivery), Api.body("name", "Gone"))
            .number("id");
    long undo = lead.send("DELETE", "/api/v1/recipes/" + id, Api.body()).number("undo");
    assertEquals(404, lead.get("/api/v1/recipes/" + id).status());
    assertEquals(204, lead.post("/api/v1/trail/%d/undo".formatted(undo), Api.body()).status());
    assertEquals(200, lead.get("/api/v1/recipes/" + id).status());
  }

  @Test
  void aZipStandsForItsFiles() throws IOException {
    Map<String, String> inside = new LinkedHashMap<>();
    inside.put("../../etc/one.csv", table("ZPA", 2));
    inside.put("inner.zip", "no matter what");
    inside.put("__MACOSX/._one.csv", "beside");
    inside.put("two.json", "{\"format\":\"arbor-line-tools\",\"version\":2,\"tools\":[]}");
    long id = lead.deliver("all.zip", Zips.ofTexts(inside));
    Api.Answer delivery = lead.get("/api/v1/deliveries/" + id);
    assertEquals("ready", delivery.text("state"));
    assertEquals(
        List.of("one.csv", "inner.zip", "two.json"),
        StreamSupport.stream(delivery.at("files").spliterator(), false)
            .map(file -> file.get("name").asString())
            .toList());
    assertEquals(2, delivery.number("read"));
    assertTrue(delivery.text("note").contains("inner.zip: a ZIP inside a ZIP is not opened"));
  }

  @Test
  void aZipThatIsDamagedOrEmptyIsRefused() throws IOException {
    byte[] whole = Zips.ofTexts(Map.of("a.csv", table("ZPB", 1)));
    assertEquals(
        400, lead.bring(Api.named("cut.zip", java.util.Arrays.copyOf(whole, 60))).status());
    assertEquals(
        400, lead.bring(Api.named("none.zip", Zips.ofTexts(Map.of("folder/", "")))).status());
    Map<String, String> tooMany = new LinkedHashMap<>();
    for (int i = 0; i <= 2000; i++) {
      tooMany.put("f%d.csv".formatted(i), "");
    }
    Api.Answer refused = lead.bring(Api.named("many.zip", Zips.ofTexts(tooMany)));
    assertEquals(400, refused.status());
    assertEquals("the ZIP has 2001 files; 2000 are possible", refused.text("detail"));
  }
}
