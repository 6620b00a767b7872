package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.stream.IntStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** The load plan of a machine: what goes into which pocket, and what does not. */
class PlanTest extends ServerTest {

  private static final String M1 = "/api/v1/machines/M1";

  private long slim;
  private long other;
  private long wide;

  @BeforeEach
  void emptyPlan() {
    jdbc.sql("delete from plan_place").update();
    slim = tool("PLAN-A", "end-mill-flat", "DC=10 APMX=22 DMM=10 OAL=72 NOF=4");
    other = tool("PLAN-B", "end-mill-flat", "DC=12 APMX=26 DMM=12 OAL=83 NOF=4");
    wide = tool("PLAN-W", "face-mill", "DC=125 DCX=125 KAPR=90 APMX=10 DCONMS=40 CICT=8 LF=63");
  }

  private long tool(String code, String toolClass, String values) {
    return jdbc.sql("select id from tool where code_key = ?")
        .param(code)
        .query(Long.class)
        .optional()
        .orElseGet(() ->
            lead.post(
                    "/api/v1/libraries/%d/tools".formatted(shelf()),
                    Draft.of(code, "Tool " + code, toolClass, values))
                .number("toolId"));
  }

  /** One library, so that no two tools have the same number. */
  private long shelf() {
    return jdbc.sql("select id from library where name = 'Planned'")
        .query(Long.class)
        .optional()
        .orElseGet(() -> library("Planned"));
  }

  private Api.Answer put(String place, long tool, Object... measures) {
    var order = Api.body(measures);
    order.put("toolId", tool);
    return lead.send("PUT", M1 + "/plan/" + place, order);
  }

  private List<String> plan() {
    return lead.get(M1)
        .at("plan")
        .valueStream()
        .map(pocket -> pocket.get("place").asString() + " " + pocket.get("code").asString())
        .toList();
  }

  private void undo(Api.Answer done) {
    assertEquals(
        204, lead.post("/api/v1/trail/%d/undo".formatted(done.number("undo")), null).status());
  }

  @Test
  void aMachineSaysWhatItIs() {
    var heron =
        lead.get("/api/v1/machines")
            .at("items")
            .valueStream()
            .filter(machine -> machine.get("id").asString().equals("M1"))
            .findFirst()
            .orElseThrow();
    assertEquals("M1 Heron", heron.get("name").asString());
    assertEquals("chain of 48 pockets", heron.get("storages").asString());
    assertEquals(404, lead.get("/api/v1/machines/M99").status());
  }

  @Test
  void aToolMovesAndIsNeverInTwoPockets() {
    put("3", slim, "length", "120.5");
    put("7", slim);
    assertEquals(List.of("7 PLAN-A"), plan());
    assertEquals("120.5", lead.get(M1).at("plan").get(0).get("length").asString());
  }

  @Test
  void whoeverWasInThePocketLeavesAndComesBackWithUndo() {
    put("3", slim, "length", "120.5");
    put("7", other);
    Api.Answer moved = put("3", other);
    assertEquals(List.of("3 PLAN-B"), plan());
    undo(moved);
    assertEquals(List.of("3 PLAN-A", "7 PLAN-B"), plan());
    assertEquals("120.5", lead.get(M1).at("plan").get(0).get("length").asString());
  }

  @Test
  void pocketsAreListedByNumberNotByLetters() {
    put("10", slim);
    put("9", other);
    assertEquals(List.of("9 PLAN-B", "10 PLAN-A"), plan());
  }

  @Test
  void measuresAreReadAsPeopleWriteThem() {
    put("3", slim, "length", "4 3/4\"", "diameter", "9,98");
    var place = lead.get(M1).at("plan").get(0);
    assertEquals("120.65", place.get("length").asString());
    assertEquals("9.98", place.get("diameter").asString());
    put("3", slim, "length", " ");
    assertTrue(lead.get(M1).at("plan").get(0).get("length").isNull());
    assertEquals("9.98", lead.get(M1).at("plan").get(0).get("diameter").asString());
    for (String bad : List.of("0", "-5", "long", "1e9", "3 kg")) {
      assertEquals(400, put("3", slim, "length", bad).status(), bad);
    }
  }

  @Test
  void clearingIsTakenBackUnlessTheToolWentElsewhere() {
    put("3", slim);
    Api.Answer cleared = lead.send("DELETE", M1 + "/plan/3", null);
    assertEquals(List.of(), plan());
    put("5", slim);
    Api.Answer refused = lead.post("/api/v1/trail/%d/undo".formatted(cleared.number("undo")), null);
    assertEquals(409, refused.status());
    assertEquals("the tool is in pocket 5 now", refused.text("detail"));
    assertEquals(List.of("5 PLAN-A"), plan());
  }

  @Test
  void aWideToolNeedsItsNeighboursEmpty() {
    put("3", slim);
    Api.Answer refused = put("4", wide);
    assertEquals(409, refused.status());
    assertTrue(
        refused.text("detail").startsWith("PLAN-W does not fit into pocket 4: "),
        refused.text("detail"));
    Api.Answer refusals = lead.get(M1 + "/plan/refusals?toolId=" + wide);
    assertTrue(refusals.body().has("2"));
    assertTrue(refusals.body().has("4"));
    assertFalse(refusals.body().has("20"));
    assertEquals(200, put("20", wide).status());
    assertEquals(409, put("21", other).status());
  }

  @Test
  void placesThatAreNoneAreRefused() {
    for (String place : List.of("0", "49", "SPINDLE", "x")) {
      assertTrue(put(place, slim).status() >= 400, place);
    }
    assertEquals(404, put("3", 999_999).status());
    assertEquals(List.of(), plan());
  }

  @Test
  void twoWhoWantTheSamePocketLeaveOneToolInIt() {
    List<CompletableFuture<Api.Answer>> both =
        IntStream.range(0, 2)
            .mapToObj(index -> index == 0 ? slim : other)
            .map(tool -> CompletableFuture.supplyAsync(() -> put("3", tool)))
            .toList();
    both.forEach(answer -> assertEquals(200, answer.join().status()));
    assertEquals(1, plan().size());
  }
}
