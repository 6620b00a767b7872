package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** A list comes back that somebody edited: what is new, changed, same and missing, and who wins. */
class SettlingTest extends ServerTest {

  private static final String HEAD = "CODE,CLASS,NUMBER,DC,APMX,LU,OAL,DMM,NOF\n";

  private static String mill(String code, String oal, String teeth) {
    return "%s,end-mill-flat,,10,22,24,%s,10,%s\n".formatted(code, oal, teeth);
  }

  private long library(String name, String table) {
    long library =
        lead.post("/api/v1/libraries", Api.body("name", "Settling: " + name)).number("id");
    long delivery = lead.deliver(name + ".csv", table);
    Api.Answer taken =
        lead.post("/api/v1/deliveries/%d/accept".formatted(delivery), Api.body("library", library));
    assertEquals(200, taken.status(), taken.toString());
    return library;
  }

  private Api.Answer settle(long delivery, Map<String, Object> order) {
    return lead.post("/api/v1/deliveries/%d/settle".formatted(delivery), order);
  }

  private long accept(long delivery, long library) {
    return lead.post(
            "/api/v1/deliveries/%d/accept".formatted(delivery), Api.body("library", library))
        .number("undo");
  }

  @Test
  void anEditedExportIsComparedWithItsLibrary() {
    long library =
        library(
            "Coming back",
            HEAD + mill("STA-1", "72", "4") + mill("STA-2", "72", "4") + mill("STA-3", "72", "4"));
    long delivery =
        lead.deliver(
            "edited.csv",
            HEAD + mill("STA-1", "72", "4") + mill("STA-2", "80", "4") + mill("STA-9", "72", "3"));
    JsonNode compared = lead.get("/api/v1/deliveries/%d/compare".formatted(delivery)).body();
    assertEquals(library, compared.get("library").asLong());
    assertEquals(
        List.of(1L, 1L, 1L, 1L),
        List.of(
            compared.get("fresh").asLong(),
            compared.get("changed").asLong(),
            compared.get("same").asLong(),
            compared.get("missing").asLong()));
    assertEquals("STA-3", compared.at("/missingTools/0/code").asString());
  }

  @Test
  void aChangedToolIsReplacedAndTheTakingCanBeTakenBack() {
    long library = library("Replaced", HEAD + mill("STB-1", "72", "4"));
    long delivery = lead.deliver("b.csv", HEAD + mill("STB-1", "80", "5"));
    assertEquals("hold", line(delivery, "STB-1").get("disposition").asString());
    assertEquals(1, settle(delivery, Api.body("answer", "replace")).number("lines"));
    JsonNode settled = line(delivery, "STB-1");
    assertEquals("pass", settled.get("disposition").asString());
    assertEquals("REPLACE", settled.at("/choice/answer").asString());
    long undo = accept(delivery, library);
    long tool = line(delivery, "STB-1").get("takenToolId").asLong();
    assertEquals("80", text(tool, "OAL"));
    assertEquals(204, lead.post("/api/v1/trail/%d/undo".formatted(undo), Api.body()).status());
    assertEquals("72", text(tool, "OAL"));
    assertEquals(1, lead.get("/api/v1/libraries/%d/tools".formatted(library)).at("items").size());
  }

  private String text(long tool, String symbol) {
    return lead.get("/api/v1/tools/" + tool)
        .body()
        .at("/answer/values/%s/text".formatted(symbol))
        .asString("");
  }

  @Test
  void aValueThatCannotBeReadIsNotTakenForNone() {
    library("Unread", HEAD + mill("UNR-1", "72", "4"));
    long delivery =
        lead.deliver("u.csv", HEAD + mill("UNR-1", "80", "5").replace(",24,", ",wide,"));
    settle(delivery, Api.body("answer", "merge", "fields", List.of("OAL", "LU")));
    JsonNode held = line(delivery, "UNR-1");
    assertEquals("hold", held.get("disposition").asString(), held.toString());
    assertTrue(held.get("findings").toString().contains("not-a-number"), held.toString());
    List<Long> lines = List.of(held.get("id").asLong());
    settle(delivery, Api.body("answer", "merge", "fields", List.of("OAL"), "lines", lines));
    assertEquals("pass", line(delivery, "UNR-1").get("disposition").asString());
  }

  @Test
  void aToolThatSaysMoreThanCanBeReadIsNotHereAlready() {
    library("Unread besides", HEAD + mill("UNS-1", "72", "4"));
    long delivery =
        lead.deliver(
            "s.csv",
            HEAD.replace("\n", ",RPMX\n") + mill("UNS-1", "72", "4").replace("\n", ",fast\n"));
    JsonNode held = line(delivery, "UNS-1");
    assertEquals("hold", held.get("disposition").asString(), held.toString());
    assertTrue(held.get("findings").toString().contains("not-a-number"), held.toString());
    settle(delivery, Api.body("answer", "keep", "lines", List.of(held.get("id").asLong())));
    assertEquals("skipped", line(delivery, "UNS-1").get("disposition").asString());
  }

  @Test
  void onlyChosenFieldsComeFromTheLine() {
    long library = library("Merged", HEAD + mill("STC-1", "72", "4"));
    long delivery = lead.deliver("c.csv", HEAD + mill("STC-1", "80", "5"));
    settle(delivery, Api.body("answer", "merge", "fields", List.of("OAL")));
    accept(delivery, library);
    long tool = line(delivery, "STC-1").get("takenToolId").asLong();
    assertEquals("80", text(tool, "OAL"));
    assertEquals("4", text(tool, "NOF"));
  }

  @Test
  void whatTheShopKeepsIsNotTaken() {
    long library = library("Kept", HEAD + mill("STD-1", "72", "4"));
    long delivery = lead.deliver("d.csv", HEAD + mill("STD-1", "80", "5"));
    settle(
        delivery,
        Api.body("answer", "keep", "lines", List.of(line(delivery, "STD-1").get("id").asLong())));
    assertEquals("skipped", line(delivery, "STD-1").get("disposition").asString());
    assertEquals(0, accept(delivery, library));
  }

  @Test
  void aChoiceIsOverWhereTheShopsToolChangedSince() {
    long library = library("Changed since", HEAD + mill("STE-1", "72", "4"));
    long delivery = lead.deliver("e.csv", HEAD + mill("STE-1", "80", "5"));
    settle(delivery, Api.body("answer", "replace"));
    long other = lead.deliver("e2.csv", HEAD + mill("STE-1", "90", "4"));
    settle(other, Api.body("answer", "replace"));
    accept(other, library);
    accept(delivery, library);
    assertEquals("90", text(line(other, "STE-1").get("takenToolId").asLong(), "OAL"));
    assertEquals("hold", line(delivery, "STE-1").get("disposition").asString());
  }

  @Test
  void whatStandsBesideALineIsScoredWithItsDifferences() {
    library("Beside", HEAD + mill("STF-1", "72", "4") + mill("STF-2", "72", "4"));
    long delivery = lead.deliver("f.csv", HEAD + mill("STF-1", "80", "4"));
    long line = line(delivery, "STF-1").get("id").asLong();
    JsonNode beside =
        lead.get("/api/v1/deliveries/%d/lines/%d/beside".formatted(delivery, line)).at("items");
    assertEquals("STF-1", beside.get(0).get("code").asString());
    assertTrue(beside.get(0).get("sameCode").asBoolean());
    assertEquals("OAL", beside.at("/0/differences/0/field").asString());
    assertTrue(beside.get(0).get("percent").asInt() < 100);
  }

  @Test
  void aDoubtIsOutweighedByAReasonThatStaysOnTheTrail() {
    long library =
        lead.post("/api/v1/libraries", Api.body("name", "Settling: allowed")).number("id");
    long delivery =
        lead.deliver(
            "g.csv",
            "CODE,CLASS,DC,APMX,LU,OAL,DMM,NOF\nSTG-1,end-mill-flat,10,80,24,72,10,4\n"
                + "STG-2,end-mill-flat,,22,24,72,10,4\n");
    String allow = "/api/v1/deliveries/%d/allow".formatted(delivery);
    assertEquals("hold", line(delivery, "STG-1").get("disposition").asString());
    List<Long> both =
        List.of(
            line(delivery, "STG-1").get("id").asLong(), line(delivery, "STG-2").get("id").asLong());
    assertEquals(400, lead.post(allow, Api.body("lines", both, "reason", " ")).status());
    Api.Answer allowed = lead.post(allow, Api.body("lines", both, "reason", "drawing 4711"));
    assertEquals(1, allowed.number("lines"));
    assertEquals("drawing 4711", line(delivery, "STG-1").get("allowed").asString());
    assertEquals("hold", line(delivery, "STG-2").get("disposition").asString());
    assertTrue(lead.get("/api/v1/trail?limit=20").body().toString().contains("drawing 4711"));
    assertTrue(accept(delivery, library) > 0);
  }
}
