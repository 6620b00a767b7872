package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** A plan takes a tool as the library has it from which it was picked. */
class PlannedVersionTest extends ServerTest {

  private static final String M1 = "/api/v1/machines/M1";

  private Shelves shelves;

  @BeforeEach
  void emptyPlan() {
    shelves = new Shelves(lead);
    jdbc.sql("delete from plan_place").update();
  }

  private void becomes(long tool, String code, String diameter) {
    Api.Answer changed =
        lead.send("PUT", "/api/v1/tools/%d?version=1".formatted(tool), Draft.mill(code, diameter));
    assertEquals(200, changed.status(), changed.toString());
  }

  private void copy(long tool, long from, long into) {
    Api.Answer copied =
        lead.post(
            "/api/v1/libraries/%d/copy".formatted(into),
            Api.body("tools", List.of(tool), "from", from, "numbering", "next"));
    assertEquals(200, copied.status(), copied.toString());
  }

  private Api.Answer put(String place, long tool, Long library, Object... more) {
    Map<String, Object> order = Api.body(more);
    order.put("toolId", tool);
    order.put("libraryId", library);
    return lead.send("PUT", M1 + "/plan/" + place, order);
  }

  private JsonNode planned() {
    return lead.get(M1).at("plan").get(0);
  }

  /** A tool whose new version is 12, and two libraries: one stays at 10, one follows. */
  private record Two(long tool, long staying, long following) {}

  private Two two(String code, String newDiameter) {
    long staying = shelves.library(code + " stays", "follows", false);
    long following = shelves.library(code + " follows");
    long tool = shelves.mills(staying, code).getFirst();
    shelves.mills(following, code + "-first");
    copy(tool, staying, following);
    becomes(tool, code, newDiameter);
    return new Two(tool, staying, following);
  }

  @Test
  void versionAndNumberAreThoseOfTheLibraryItWasPickedFrom() {
    Two two = two("PVA", "12");
    assertEquals(200, put("3", two.tool(), two.staying()).status());
    assertEquals("10", planned().get("nominalDiameter").asString());
    assertEquals("1", planned().get("number").asString());
    assertEquals(1, planned().get("versionNo").asInt());
    assertEquals(2, planned().get("newestNo").asInt());
    assertEquals("PVA stays", planned().get("library").asString());
    assertEquals(200, put("3", two.tool(), two.following()).status());
    assertEquals("12", planned().get("nominalDiameter").asString());
    assertEquals("2", planned().get("number").asString());
  }

  @Test
  void aMeasureIsHeldAgainstTheVersionThatIsPlanned() {
    Two two = two("PVM", "12");
    put("3", two.tool(), two.staying());
    JsonNode fitting = put("3", two.tool(), null, "diameter", "9.99").body();
    assertTrue(fitting.get("questions").isEmpty(), fitting.toString());
    assertFalse(put("3", two.tool(), null, "diameter", "11.99").body().get("questions").isEmpty());
  }

  @Test
  void fitIsJudgedByTheVersionThatIsPlanned() {
    Two two = two("PVF", "180");
    assertEquals(409, put("3", two.tool(), two.following()).status());
    String asked = M1 + "/plan/refusals?toolId=%d&libraryId=%d";
    assertFalse(lead.get(asked.formatted(two.tool(), two.following())).body().isEmpty());
    assertTrue(lead.get(asked.formatted(two.tool(), two.staying())).body().isEmpty());
    assertEquals(200, put("3", two.tool(), two.staying()).status());
  }

  @Test
  void whereLibrariesDifferAndNoneIsNamedThisIsSaid() {
    Two two = two("PVQ", "12");
    String said = put("3", two.tool(), null).body().get("questions").toString();
    assertTrue(said.contains("number 1 in PVQ stays and number 2 in PVQ follows"), said);
    assertEquals("PVQ stays", planned().get("library").asString());
  }

  @Test
  void aLibraryThatLostTheToolIsNamedAndOneThatNeverHadItRefused() {
    Two two = two("PVL", "12");
    long none = shelves.library("PVL without");
    assertEquals(409, put("3", two.tool(), none).status());
    put("3", two.tool(), two.following());
    lead.send(
        "DELETE",
        "/api/v1/libraries/%d/tools/%d".formatted(two.following(), two.tool()),
        Api.body());
    String said = planned().get("questions").toString();
    assertTrue(said.contains("no longer has it: it is taken as PVL stays has it"), said);
    assertEquals("10", planned().get("nominalDiameter").asString());
  }

  @Test
  void takingBackBringsTheLibraryBackToo() {
    Two two = two("PVU", "12");
    put("3", two.tool(), two.staying());
    Api.Answer cleared = lead.send("DELETE", M1 + "/plan/3", null);
    shelves.undo(cleared);
    assertEquals("PVU stays", planned().get("library").asString());
    assertEquals("10", planned().get("nominalDiameter").asString());
  }
}
