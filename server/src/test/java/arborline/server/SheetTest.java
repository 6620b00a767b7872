package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertNull;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** The sheet of one tool: its classes, its drafts, its versions. */
class SheetTest extends ServerTest {

  private long made(String library, Map<String, Object> draft) {
    Api.Answer answer = lead.post("/api/v1/libraries/%d/tools".formatted(library(library)), draft);
    assertEquals(201, answer.status(), answer.toString());
    return answer.number("toolId");
  }

  private Api.Answer check(String toolClass, String values) {
    return lead.post("/api/v1/tools/check", Draft.of("S-1", "", toolClass, values));
  }

  private static List<String> findings(Api.Answer answer) {
    return answer
        .at("findings")
        .valueStream()
        .map(finding -> finding.get("code").asString())
        .toList();
  }

  @Test
  void everyClassBringsItsFieldsWithSentencesAndADrawing() {
    for (var head : lead.get("/api/v1/classes").at("items")) {
      String id = head.get("id").asString();
      assertTrue(head.at("/outline/length").asDouble() > 0, id);
      Api.Answer blank =
          lead.post(
              "/api/v1/tools/check",
              Api.body("code", "S-1", "name", "", "classId", id, "values", Api.body()));
      assertTrue(blank.at("sketch").asBoolean(), id);
      for (var field : blank.at("fields")) {
        assertFalse(field.get("sentence").asString().isBlank(), id + field);
      }
      long required =
          blank.at("fields").valueStream().filter(f -> f.get("required").asBoolean()).count();
      long missed =
          findings(blank).stream()
              .filter(code -> code.startsWith("missing.") || code.startsWith("implied."))
              .count();
      assertEquals(required, missed, id);
    }
  }

  @Test
  void anotherClassKeepsWhatStillAppliesAndSaysWhatIsForeign() {
    Api.Answer drill = check("drill-twist", "DC=10 APMX=22 DMM=10 OAL=72 NOF=4 RE=0.5");
    List<String> foreign =
        drill.at("foreign").valueStream().map(value -> value.asString()).toList();
    assertTrue(foreign.contains("RE"), foreign.toString());
    assertFalse(foreign.contains("DC"));
    assertEquals("10", drill.at("values").at("/DC/text").asString());
  }

  @Test
  void aNameThatNobodyGaveIsTheUsualOne() {
    String usual = check("end-mill-flat", "DC=10 APMX=22 DMM=10 OAL=72 NOF=4").text("usualName");
    assertTrue(usual.toLowerCase().contains("end mill"), usual);
    assertTrue(usual.contains("10"), usual);
  }

  @Test
  void aUnitThatIsNoneIsRefusedWithItsField() {
    Map<String, Object> draft = Draft.mill("S-2", "10");
    draft.put("values", Api.body("DC", Api.body("text", "10", "unit", "furlong")));
    Api.Answer answer = lead.post("/api/v1/tools/check", draft);
    assertEquals(400, answer.status());
    assertEquals("DC: 'furlong' is not a unit", answer.text("detail"));
  }

  @Test
  void theNextSizeUpFollowsTheUsualDiameters() {
    long tool =
        made(
            "Next sizes",
            Draft.of("NX-D10", "Mill 10 mm", "end-mill-flat", "DC=10 APMX=22 DMM=10 OAL=72 NOF=4"));
    Api.Answer next = lead.get("/api/v1/tools/%d/next-size".formatted(tool));
    assertEquals("NX-D12", next.text("code"));
    assertEquals("Mill 12 mm", next.text("name"));
    assertEquals("12", next.at("values").at("/DC/text").asString());
    assertTrue(next.at("values").at("/DMM/defaulted").asBoolean());
    assertEquals("22", next.at("values").at("/APMX/text").asString());
    long largest = made("Largest", Draft.mill("NX-BIG", "200"));
    Api.Answer none = lead.get("/api/v1/tools/%d/next-size".formatted(largest));
    assertEquals(409, none.status());
    assertEquals("no usual diameter is larger than that of NX-BIG", none.text("detail"));
  }

  /** Whoever chooses has seen what he chooses against. */
  @Test
  void whereBothChangedAFieldOneOfThemStandsByChoice() {
    long tool = made("Choices", Draft.mill("CH-1", "10"));
    String path = "/api/v1/tools/%d".formatted(tool);
    lead.send("PUT", path + "?version=1", Draft.mill("CH-1", "11"));
    Object mine = Draft.mill("CH-1", "12");
    assertEquals(409, lead.send("PUT", path + "?version=1", mine).status());
    assertEquals(409, lead.send("PUT", path + "?version=1&keep=mine&seen=1", mine).status());
    assertEquals(400, lead.send("PUT", path + "?version=1&keep=mine", mine).status());
    assertEquals(400, lead.send("PUT", path + "?version=1&keep=both&seen=2", mine).status());
    Api.Answer theirs = lead.send("PUT", path + "?version=1&keep=theirs&seen=2", mine);
    assertEquals(200, theirs.status());
    assertEquals("11", lead.get(path).at("answer").at("/values/DC/text").asString());
    Api.Answer kept = lead.send("PUT", path + "?version=1&keep=mine&seen=2", mine);
    assertEquals(3, kept.number("version"));
    assertEquals("12", lead.get(path).at("answer").at("/values/DC/text").asString());
  }

  @Test
  void anotherClassPutsAsideWhatItDoesNotAskFor() {
    Api.Answer changed =
        lead.post(
            "/api/v1/tools/class-change",
            Map.of(
                "tool",
                Draft.of("CC-1", "", "end-mill-corner-radius", "DC=10 RE=0.5"),
                "toClass",
                "drill-twist",
                "aside",
                Map.of()));
    assertEquals("0.5", changed.at("aside").at("/RE/text").asString());
    assertEquals("118", changed.at("tool").at("/values/SIG/text").asString());
    assertTrue(changed.at("tool").at("/values/SIG/defaulted").asBoolean());
  }

  @Test
  void anEarlierVersionCanStandAgainAndNothingIsLost() {
    long tool = made("Histories", Draft.mill("HI-1", "10"));
    String path = "/api/v1/tools/%d".formatted(tool);
    lead.send("PUT", path + "?version=1", Draft.mill("HI-1", "11"));
    lead.send("PUT", path + "?version=2", Draft.mill("HI-1", "12"));
    Api.Answer back = lead.post(path + "/back?version=1", null);
    assertEquals(4, back.number("version"));
    Api.Answer sheet = lead.get(path);
    assertEquals("10", sheet.at("answer").at("/values/DC/text").asString());
    List<String> history =
        sheet
            .at("history")
            .valueStream()
            .map(version -> version.at("/changes/0").asString())
            .toList();
    assertEquals(
        List.of("DC 12 mm to 10 mm", "DC 11 mm to 12 mm", "DC 10 mm to 11 mm", ""), history);
    assertEquals(
        204, lead.post("/api/v1/trail/%d/undo".formatted(back.number("undo")), null).status());
    assertEquals("12", lead.get(path).at("answer").at("/values/DC/text").asString());
    assertEquals(404, lead.post(path + "/back?version=99", null).status());
  }

  @Test
  void savingWhatStandsThereMakesNoVersion() {
    long tool = made("Unchanged", Draft.mill("UN-1", "10"));
    Api.Answer same =
        lead.send("PUT", "/api/v1/tools/%d?version=1".formatted(tool), Draft.mill("UN-1", "10"));
    assertEquals(1, same.number("version"));
    assertEquals(0, same.number("undo"));
  }

  @Test
  void aSheetOfNothingIsNotFound() {
    assertEquals(404, lead.get("/api/v1/tools/999999").status());
    assertEquals(404, lead.get("/api/v1/tools/999999/next-size").status());
    assertEquals(
        404, lead.send("PUT", "/api/v1/tools/999999?version=1", Draft.mill("X-1", "1")).status());
    assertEquals(404, lead.post("/api/v1/libraries/999999/tools", Draft.mill("X-1", "1")).status());
  }

  @Test
  void aCodeAskedForByTwoAtOnceIsGivenOnce() {
    long library = library("Raced");
    List<CompletableFuture<Integer>> both =
        Stream.of("LEAD", "PROGRAMMER")
            .map(this::as)
            .map(api ->
                CompletableFuture.supplyAsync(() ->
                    api.post(
                            "/api/v1/libraries/%d/tools".formatted(library),
                            Draft.mill("RACE-1", "10"))
                        .status()))
            .toList();
    List<Integer> answers = both.stream().map(CompletableFuture::join).sorted().toList();
    assertEquals(List.of(201, 409), answers);
    assertEquals(1, lead.get("/api/v1/libraries/" + library).number("tools"));
  }

  @Test
  void absurdNumbersAreAnsweredAtTheirField() {
    Api.Answer answer = check("end-mill-flat", "DC=10 APMX=22 DMM=10 OAL=100000000 NOF=4");
    var finding = answer.at("findings").get(0);
    assertEquals("size-absurd", finding.get("code").asString());
    assertEquals("OAL", finding.at("/properties/0").asString());
    assertEquals(
        List.of("missing.NOF"),
        findings(check("end-mill-flat", "DC=10 APMX=22 DMM=10 OAL=72 NOF=")));
    Api.Answer unknown = check("no-such-class", "DC=10");
    assertTrue(unknown.at("outline").isNull());
    assertFalse(findings(unknown).isEmpty());
    assertNull(unknown.at("values").get("APMX"));
  }
}
