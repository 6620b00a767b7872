package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Lines of a delivery are put right, which is on the trail and can be taken back. */
class CorrectingTest extends ServerTest {

  private static final String PATH = "/api/v1/deliveries/";

  private long balls(String prefix, int count) {
    StringBuilder table =
        new StringBuilder("CODE,NAME,CLASS,DC [mm],RE [mm],APMX [mm],DMM [mm],OAL [mm],NOF\n");
    for (int i = 1; i <= count; i++) {
      table.append("%s-%d,Ball,end-mill-ball,10,4,22,10,72,2\n".formatted(prefix, i));
    }
    return lead.deliver(prefix + ".csv", table.toString());
  }

  private Api.Answer repair(long delivery) {
    return lead.post(
        PATH + delivery + "/repair", Api.body("finding", "ball-radius", "repair", "ball-radius"));
  }

  private Api.Answer undo(long deed) {
    return lead.post("/api/v1/trail/%d/undo".formatted(deed), null);
  }

  private JsonNode line(long delivery, int index) {
    return lead.get(PATH + delivery + "/lines").at("items").get(index);
  }

  private Api.Answer correct(long delivery, JsonNode line, String symbol, String text) {
    return lead.send(
        "PATCH",
        PATH + "%d/lines/%d".formatted(delivery, line.get("id").asLong()),
        Api.body("cells", Api.body(symbol, text)));
  }

  private JsonNode lastDeed() {
    return lead.get("/api/v1/trail?limit=1").at("items").get(0);
  }

  private long count(long delivery, String disposition) {
    return lead.get(PATH + delivery).number(disposition);
  }

  /** More than one thousand, so that it is done in several steps. */
  @Test
  void aRepairOfManyLinesIsDoneAndTakenBackWhole() {
    long delivery = balls("MANY", 2100);
    Api.Answer repaired = repair(delivery);
    assertEquals(2100, repaired.number("lines"));
    assertEquals(2100, count(delivery, "pass"));
    assertEquals("5 mm", line(delivery, 2).at("/cells/RE/text").asString());
    assertEquals(
        "corrected 2100 lines of MANY.csv: set RE to half of DC",
        lastDeed().get("text").asString());
    assertEquals(204, undo(repaired.number("undo")).status());
    assertEquals(2100, count(delivery, "hold"));
    assertEquals("4", line(delivery, 2).at("/cells/RE/text").asString());
    assertEquals(
        2100, lead.get(PATH + delivery + "/findings").at("items").get(0).get("count").asInt());
  }

  @Test
  void whatChangesNothingIsNotOnTheTrail() {
    long delivery = balls("NONE", 1);
    long before = lastDeed().get("id").asLong();
    Api.Answer nothing =
        lead.post(
            PATH + delivery + "/repair",
            Api.body("finding", "ball-radius", "repair", "no-such-repair"));
    assertEquals(0, nothing.number("lines"));
    assertEquals(0, nothing.number("undo"));
    assertEquals(before, lastDeed().get("id").asLong());
  }

  @Test
  void whatIsAddedToALineOfInchesIsInches() {
    long delivery =
        lead.deliver(
            "inch.csv",
            "CODE,CLASS,DC [in],DMM [in],OAL [in],NOF\nIN-1,end-mill-flat,0.5,0.5,3,4\n");
    JsonNode before = line(delivery, "IN-1");
    assertEquals("in", before.at("/unitsOfAdded/APMX").asString(), before.toString());
    assertEquals(200, correct(delivery, before, "APMX", "0.75").status());
    assertEquals("in", line(delivery, "IN-1").at("/cells/APMX/unit").asString());
    assertEquals(200, correct(delivery, before, "APMX", "19 mm").status());
    assertEquals("19 mm", line(delivery, "IN-1").at("/cells/APMX/text").asString());
    assertEquals("in", line(delivery, "IN-1").at("/cells/APMX/unit").asString());
  }

  @Test
  void aLaterChangeOfALineIsTakenBackFirst() {
    long delivery = balls("TWICE", 1);
    correct(delivery, line(delivery, 0), "RE", "4.5");
    JsonNode first = lastDeed();
    assertEquals("corrected line 2 of TWICE.csv: RE 4.5", first.get("text").asString());
    correct(delivery, line(delivery, 0), "RE", "5");
    JsonNode second = lastDeed();
    assertEquals(1, count(delivery, "pass"));
    Api.Answer refused = undo(first.get("id").asLong());
    assertEquals(409, refused.status());
    assertTrue(refused.text("detail").contains("take the later change back first"));
    assertEquals(204, undo(second.get("id").asLong()).status());
    assertEquals("4.5", line(delivery, 0).at("/cells/RE/text").asString());
    assertEquals(204, undo(first.get("id").asLong()).status());
    assertEquals("4", line(delivery, 0).at("/cells/RE/text").asString());
  }

  @Test
  void whatWasTakenSinceStays() {
    long delivery = balls("SINCE", 2);
    long deed = repair(delivery).number("undo");
    lead.post(PATH + delivery + "/accept", Api.body("library", library("Since")));
    Api.Answer refused = undo(deed);
    assertEquals(409, refused.status());
    assertTrue(refused.text("detail").contains("taken since"));
  }

  @Test
  void ofLinesThatWereReadAgainNothingIsTakenBack() {
    long delivery = balls("REREAD", 2);
    long deed = repair(delivery).number("undo");
    lead.send("PUT", PATH + delivery + "/reading", Api.body("decimal", "."));
    lead.untilRead(delivery);
    Api.Answer refused = undo(deed);
    assertEquals(409, refused.status());
    assertTrue(refused.text("detail").contains("read again"));
    assertEquals(2, count(delivery, "hold"));
  }

  @Test
  void aCodeThatIsTakenBackClashesAgain() {
    long delivery =
        lead.deliver(
            "clash.csv",
            """
            CODE,NAME,CLASS,DC [mm],APMX [mm],DMM [mm],OAL [mm],NOF
            CLASH-1,Mill,end-mill-flat,10,22,10,72,4
            CLASH-1,Mill,end-mill-flat,12,26,12,83,4
            """);
    assertEquals(1, count(delivery, "hold"));
    correct(delivery, line(delivery, 0), "CODE", "CLASH-0");
    assertEquals(2, count(delivery, "pass"));
    assertEquals(204, undo(lastDeed().get("id").asLong()).status());
    assertEquals(1, count(delivery, "hold"));
    assertEquals("hold", line(delivery, 1).get("disposition").asString());
  }

  @Test
  void aLookedAtQueryAsksAgainOnceThatIsTakenBack() {
    long delivery =
        lead.deliver(
            "look.csv",
            """
            CODE,NAME,CLASS,DC [mm],APMX [mm],DMM [mm],OAL [mm],NOF
            LOOK-1,Mill,end-mill-flat,0.5,12,12.7,83,2
            LOOK-2,Mill,end-mill-flat,0.25,6,6.35,64,2
            """);
    List<String> queries =
        lead.get(PATH + delivery + "/findings")
            .at("items")
            .valueStream()
            .filter(group -> group.get("severity").asString().equals("QUERY"))
            .map(group -> group.get("code").asString())
            .toList();
    long asked = count(delivery, "query");
    assertTrue(asked > 0);
    Api.Answer looked =
        lead.post(PATH + delivery + "/look", Api.body("finding", queries.getFirst()));
    assertEquals(asked, looked.number("lines"));
    assertEquals(0, count(delivery, "query"));
    assertEquals(204, undo(looked.number("undo")).status());
    assertEquals(asked, count(delivery, "query"));
  }

  @Test
  void aCorrectionThatWasTakenBackIsNotOfferedAgain() {
    long id =
        lead.deliver(
            "once.csv",
            "CODE,NAME,CLASS,DC [mm],APMX [mm],DMM [mm],OAL [mm],NOF\nCO-ONCE,M,end-mill-flat,6,x,6,57,4\n");
    long line =
        lead.get("/api/v1/deliveries/%d/lines".formatted(id)).at("items").get(0).get("id").asLong();
    lead.send(
        "PATCH",
        "/api/v1/deliveries/%d/lines/%d".formatted(id, line),
        Api.body("cells", Api.body("APMX", "13")));
    var deed = lead.get("/api/v1/trail?limit=1").at("items").get(0);
    assertEquals("possible", deed.get("undo").asString());
    String undo = "/api/v1/trail/%d/undo".formatted(deed.get("id").asLong());
    assertEquals(204, lead.post(undo, null).status());
    assertEquals(
        "done", lead.get("/api/v1/trail?limit=2").at("items").get(1).get("undo").asString());
    assertEquals(409, lead.post(undo, null).status());
  }

  private JsonNode group(long delivery, String code) {
    List<JsonNode> found =
        lead.get(PATH + delivery + "/findings")
            .at("items")
            .valueStream()
            .filter(group -> group.get("code").asString().equals(code))
            .toList();
    assertEquals(1, found.size(), code);
    return found.getFirst();
  }

  private static List<String> texts(JsonNode array, String member) {
    return array.valueStream().map(item -> item.get(member).asString()).toList();
  }

  /** Drills that a shop listed by diameter only: one question, not one for each value. */
  @Test
  void allValuesThatAreMissingAreOneQuestion() {
    long delivery =
        lead.deliver(
            "bare.csv",
            """
            CODE,CLASS,DC [mm],OAL [mm],NOF
            BARE-1,drill-twist,5,86,2
            BARE-2,drill-twist,6,93,2
            BARE-3,reamer,6,93,6
            """);
    JsonNode question = group(delivery, "missing");
    assertEquals(3, question.get("count").asLong());
    assertTrue(
        question.get("example").asString().startsWith("not given yet: shank diameter (DMM), "),
        question.toString());
    assertTrue(question.get("ofAll").asBoolean());
    assertEquals("DMM", question.get("properties").get(0).asString());
    assertTrue(texts(question.get("repairs"), "id").contains("default.SIG.118"));
    assertEquals(
        3, lead.get(PATH + delivery + "/lines?finding=missing&severity=query").at("items").size());
    assertEquals(2, lead.get(PATH + delivery + "/lines?finding=missing.SIG").at("items").size());
    assertEquals(
        0, lead.get(PATH + delivery + "/lines?finding=missing&severity=note").at("items").size());
  }

  @Test
  void oneOrderFillsInAllThatIsUsual() {
    long delivery =
        lead.deliver(
            "usual.csv",
            """
            CODE,CLASS,DC [mm],OAL [mm],APMX [mm],NOF
            USUAL-1,drill-twist,5,86,30,2
            USUAL-2,drill-twist,6,93,30,2
            """);
    Api.Answer filled =
        lead.post(PATH + delivery + "/repair", Api.body("finding", "missing", "repair", "missing"));
    assertEquals(2, filled.number("lines"));
    JsonNode cells = line(delivery, 0).get("cells");
    assertEquals("5 mm", cells.at("/DMM/text").asString());
    assertEquals("118", cells.at("/SIG/text").asString());
    assertTrue(
        lastDeed().get("text").asString().contains("fill in all that is usual or follows"),
        lastDeed().toString());
    assertEquals(204, undo(filled.number("undo")).status());
    assertEquals(2, group(delivery, "missing").get("count").asLong());
  }

  /** A countersink needs its angle; the diameter of its tip is only asked for. */
  @Test
  void anOrderGoesToTheLinesOfItsQuestionOnly() {
    long delivery =
        lead.deliver(
            "sinks.csv",
            """
            CODE,CLASS,DCX [mm],SIG [deg],DMM [mm],OAL [mm]
            SINK-1,countersink,10,,8,60
            SINK-2,countersink,12,60,10,70
            """);
    assertEquals(2, fillIn(delivery, "QUERY").number("lines"));
    assertEquals("0", line(delivery, 0).at("/cells/DCN/text").asString());
    assertEquals("", line(delivery, 0).at("/cells/SIG/text").asString(""));
    assertEquals(1, fillIn(delivery, "HOLD").number("lines"));
    assertEquals("90", line(delivery, 0).at("/cells/SIG/text").asString());
  }

  private Api.Answer fillIn(long delivery, String severity) {
    return lead.post(
        PATH + delivery + "/repair",
        Api.body("finding", "missing", "repair", "missing", "severity", severity));
  }

  @Test
  void onlyLinesWithTheQuestionAreLookedAt() {
    long delivery =
        lead.deliver(
            "glance.csv", "CODE,CLASS,DC [mm],OAL [mm],NOF\nGLANCE-1,drill-twist,5,86,2\n");
    Api.Answer looked =
        lead.post(PATH + delivery + "/look", Api.body("finding", "missing", "severity", "HOLD"));
    assertEquals(0, looked.number("lines"));
    assertEquals(1, count(delivery, "query"));
  }

  @Test
  void lookingNeedsLinesOrAQuestion() {
    Api.Answer refused = lead.post(PATH + balls("BLIND", 1) + "/look", Api.body());
    assertEquals(400, refused.status());
    assertTrue(refused.text("detail").contains("lines or a finding"), refused.text("detail"));
  }

  /** Each of these inserts is offered a designation of its own. */
  @Test
  void aRepairIsOfferedOnceForLinesThatDiffer() {
    long delivery =
        lead.deliver(
            "inserts.csv",
            """
            CODE,CLASS,SC,IC [mm],S [mm],RE [mm],AN [deg],EPSR [deg],L [mm]
            NAMED-1,insert,C,12.7,4.76,0.8,0,80,12.9
            NAMED-2,insert,S,9.525,3.18,0.4,7,90,9.525
            """);
    JsonNode named = group(delivery, "insert-named");
    assertEquals(List.of("insert-named"), texts(named.get("repairs"), "id"));
    assertEquals(2, named.get("repairs").get(0).get("count").asLong());
    lead.post(
        PATH + delivery + "/repair", Api.body("finding", "insert-named", "repair", "insert-named"));
    assertEquals("CNMG 120408", line(delivery, 0).at("/cells/MIID/text").asString());
    assertEquals("SCMG 090304", line(delivery, 1).at("/cells/MIID/text").asString());
  }
}
