package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** A delivery is counted, put away and looked for, whatever becomes of it. */
class DeliveryLifeTest extends ServerTest {

  private static final String PATH = "/api/v1/deliveries/";
  private static final String CLEARING = "task_name = 'clear-delivery' and task_instance = ?";

  private JsonNode lines(long delivery, String query) {
    return lead.get(PATH + "%d/lines?%s".formatted(delivery, query)).at("items");
  }

  private List<String> dispositions(long delivery, String disposition) {
    return lines(delivery, "disposition=" + disposition)
        .valueStream()
        .map(line -> line.get("code").asString())
        .toList();
  }

  private void take(long delivery, long library, String numbering) {
    lead.post(
        PATH + "%d/accept".formatted(delivery),
        Api.body("library", library, "numbering", numbering));
  }

  private Api.Answer correct(long delivery, JsonNode line) {
    return lead.send(
        "PATCH",
        PATH + "%d/lines/%d".formatted(delivery, line.get("id").asLong()),
        Api.body("cells", Api.body("DC", "9")));
  }

  private Api.Answer repair(long delivery, String repair) {
    return lead.post(
        PATH + "%d/repair".formatted(delivery),
        Api.body("finding", "ball-radius", "repair", repair));
  }

  @Test
  void countsAndLinesTellTheSame() {
    long delivery =
        lead.deliver(
            "mixed.csv",
            """
            CODE,NAME,CLASS,DC [mm],APMX [mm],LU [mm],DMM [mm],OAL [mm],NOF
            LIFE-1,Mill,end-mill-flat,10,22,25,10,72,4
            LIFE-2,Mill,end-mill-flat,10,30,25,10,72,4
            LIFE-1,Mill,end-mill-flat,12,22,25,12,83,4
            ,,,,,,,,
            LIFE-3,Mill,end-mill-flat,ten,22,25,10,72,4
            """);
    Api.Answer counts = lead.get(PATH + delivery);
    assertEquals(List.of("LIFE-1"), dispositions(delivery, "pass"));
    assertEquals(List.of("LIFE-2", "LIFE-1", "LIFE-3"), dispositions(delivery, "hold"));
    assertEquals(1, counts.number("pass"));
    assertEquals(3, counts.number("hold"));
    assertEquals(1, counts.number("skipped"));
    assertEquals(5, counts.number("read"));
    JsonNode twice = lines(delivery, "finding=code-twice").get(0);
    assertEquals(
        "code LIFE-1 stands on line 2 already", twice.at("/findings/0/message").asString());
  }

  private long putAway(long delivery) {
    return lead.send("DELETE", PATH + delivery, null).number("undo");
  }

  private Api.Answer undo(long deed) {
    return lead.post("/api/v1/trail/%d/undo".formatted(deed), null);
  }

  @Test
  void whatIsPutAwayIsGoneAndComesBackWithItsLines() {
    long library = library("Put away");
    long delivery = lead.deliver("away.csv", table("AWAY", 3));
    take(delivery, library, "keep");
    long deed = putAway(delivery);
    assertEquals(404, lead.get(PATH + delivery).status());
    assertEquals(404, lead.get(PATH + delivery + "/lines").status());
    assertEquals(404, lead.send("DELETE", PATH + delivery, null).status());
    assertEquals(3, lead.get("/api/v1/libraries/" + library).number("tools"));
    assertEquals(204, undo(deed).status());
    assertEquals(3, lead.get(PATH + delivery).number("taken"));
    assertEquals(3, lines(delivery, "").size());
  }

  /** Both are looked at when only the first has been away for the day that it is kept. */
  @Test
  void aDayLaterItIsClearedAndItsToolsStay() {
    long library = library("Cleared");
    long delivery = lead.deliver("cleared.csv", table("CLEARED", 3));
    long other = lead.deliver("other.csv", table("OTHER", 2));
    Api.Answer taken =
        lead.post(PATH + "%d/accept".formatted(delivery), Api.body("library", library));
    long deed = putAway(delivery);
    putAway(other);
    jdbc.sql("update delivery set put_away_at = put_away_at - interval 1 day where id = ?")
        .param(delivery)
        .update();
    clearNow(delivery);
    clearNow(other);
    for (String table : List.of("delivery_line", "delivery_file", "delivery_document")) {
      assertEquals(0, rows(table, delivery), table);
      assertTrue(rows(table, other) > 0, table);
    }
    assertEquals(3, lead.get("/api/v1/libraries/" + library).number("tools"));
    Api.Answer late = undo(deed);
    assertEquals(409, late.status());
    assertTrue(late.text("detail").contains("bring its file in again"));
    Api.Answer unknown = undo(taken.number("undo"));
    assertEquals(409, unknown.status());
    assertTrue(unknown.text("detail").contains("delete them in the library"));
  }

  /** Has the work on a delivery that was put away done at once. */
  private void clearNow(long delivery) {
    int moved =
        jdbc.sql(
                "update scheduled_tasks set execution_time = execution_time - interval 1 day where "
                    + CLEARING)
            .param(Long.toString(delivery))
            .update();
    assertEquals(1, moved);
    Api.until(() ->
        jdbc.sql("select count(*) from scheduled_tasks where " + CLEARING)
                .param(Long.toString(delivery))
                .query(Long.class)
                .single()
            == 0);
  }

  private long rows(String table, long delivery) {
    return jdbc.sql("select count(*) from %s where delivery_id = ?".formatted(table))
        .param(delivery)
        .query(Long.class)
        .single();
  }

  @Test
  void readAgainItHasTheLinesOfTheNewReadingOnly() {
    long delivery = lead.deliver("sign.csv", "CODE;DC [mm]\nSIGN-1;9,5\nSIGN-2;10,5\n");
    Map<String, Object> unread = Api.body("columns", Api.body("1", Api.body("symbol", "")));
    assertTrue(lines(delivery, "").get(0).get("cells").has("DC"));
    assertEquals(202, lead.send("PUT", PATH + "%d/reading".formatted(delivery), unread).status());
    lead.untilRead(delivery);
    assertEquals(2, lead.get(PATH + delivery).number("read"));
    assertEquals(2, rows("delivery_line", delivery));
    assertFalse(lines(delivery, "").get(0).get("cells").has("DC"));
  }

  @Test
  void onceTakenTheReadingStands() {
    long library = library("Read again");
    long delivery = lead.deliver("again.csv", table("AGAIN", 2));
    take(delivery, library, "keep");
    Api.Answer refused =
        lead.send("PUT", PATH + "%d/reading".formatted(delivery), Api.body("delimiter", ";"));
    assertEquals(409, refused.status());
    assertTrue(refused.text("detail").contains("add the file again"));
    assertEquals(409, correct(delivery, lines(delivery, "").get(0)).status());
  }

  @Test
  void nextNumbersFollowTheLast() {
    long library = library("Numbers");
    long first = lead.deliver("first.csv", table("RANGE", 2));
    take(first, library, "keep");
    long second = lead.deliver("second.csv", table("RANGER", 3));
    take(second, library, "next");
    List<Integer> numbers =
        lead.get("/api/v1/libraries/%d/tools?sort=number".formatted(library))
            .at("items")
            .valueStream()
            .map(line -> line.get("number").asInt())
            .toList();
    assertEquals(List.of(1, 2, 3, 4, 5), numbers);
  }

  @Test
  void linesOfAnotherDeliveryAreNotFound() {
    long mine = lead.deliver("mine.csv", table("MINE", 1));
    long theirs = lead.deliver("theirs.csv", table("THEIRS", 1));
    Api.Answer refused = correct(mine, lines(theirs, "").get(0));
    assertEquals(404, refused.status());
    assertEquals("there is no such line in the delivery", refused.text("detail"));
  }

  @Test
  void aLineIsRepairedOnlyByWhatItOffers() {
    long delivery =
        lead.deliver(
            "ball.csv",
            """
            CODE,NAME,CLASS,DC [mm],RE [mm],APMX [mm],DMM [mm],OAL [mm],NOF
            BALL-1,Ball,end-mill-ball,10,4,22,10,72,2
            BALL-2,Ball,end-mill-ball,8,3,16,8,63,2
            """);
    Api.Answer none = repair(delivery, "no-such-repair");
    assertEquals(2, lead.get(PATH + delivery).number("hold"), none.toString());
    var groups = lead.get(PATH + "%d/findings".formatted(delivery)).at("items");
    assertEquals("ball-radius", groups.get(0).get("code").asString());
    Api.Answer repaired = repair(delivery, groups.get(0).at("/repairs/0/id").asString());
    assertEquals(2, repaired.number("lines"));
    assertEquals(2, lead.get(PATH + delivery).number("pass"));
  }
}
