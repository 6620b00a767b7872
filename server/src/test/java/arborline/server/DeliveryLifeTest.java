package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import org.junit.jupiter.api.Test;

/** A delivery is counted, put away and looked for, whatever becomes of it. */
class DeliveryLifeTest extends ServerTest {

  private static final String PATH = "/api/v1/deliveries/";

  private List<String> dispositions(long delivery, String disposition) {
    return lead.get(PATH + "%d/lines?disposition=%s".formatted(delivery, disposition))
        .at("items")
        .valueStream()
        .map(line -> line.get("code").asString())
        .toList();
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
    var twice =
        lead.get(PATH + "%d/lines?finding=code-twice".formatted(delivery)).at("items").get(0);
    assertEquals(
        "code LIFE-1 stands on line 2 already", twice.at("/findings/0/message").asString());
  }

  @Test
  void whatIsPutAwayIsGoneAndItsToolsStay() {
    long library = library("Put away");
    long delivery = lead.deliver("away.csv", table("AWAY", 3));
    lead.post(
        PATH + "%d/accept".formatted(delivery), Api.body("library", library, "numbering", "keep"));
    assertEquals(204, lead.send("DELETE", PATH + delivery, null).status());
    assertEquals(404, lead.get(PATH + delivery).status());
    assertEquals(404, lead.get(PATH + delivery + "/lines").status());
    assertEquals(3, lead.get("/api/v1/libraries/" + library).number("tools"));
    for (String table : List.of("delivery_line", "delivery_file", "delivery_document")) {
      assertEquals(
          0,
          jdbc.sql("select count(*) from %s where delivery_id = ?".formatted(table))
              .param(delivery)
              .query(Long.class)
              .single(),
          table);
    }
  }

  @Test
  void onceTakenTheReadingStands() {
    long library = library("Read again");
    long delivery = lead.deliver("again.csv", table("AGAIN", 2));
    lead.post(
        PATH + "%d/accept".formatted(delivery), Api.body("library", library, "numbering", "keep"));
    Api.Answer refused =
        lead.send("PUT", PATH + "%d/reading".formatted(delivery), Api.body("delimiter", ";"));
    assertEquals(409, refused.status());
    assertTrue(refused.text("detail").contains("bring the file in again"));
    var line = lead.get(PATH + "%d/lines".formatted(delivery)).at("items").get(0);
    Api.Answer corrected =
        lead.send(
            "PATCH",
            PATH + "%d/lines/%d".formatted(delivery, line.get("id").asLong()),
            Api.body("cells", Api.body("DC", "9")));
    assertEquals(409, corrected.status());
  }

  @Test
  void numberingFromARangeFillsTheGaps() {
    long library = library("Ranges");
    long first = lead.deliver("first.csv", table("RANGE", 2));
    lead.post(
        PATH + "%d/accept".formatted(first), Api.body("library", library, "numbering", "keep"));
    long second = lead.deliver("second.csv", table("RANGER", 3));
    lead.post(
        PATH + "%d/accept".formatted(second), Api.body("library", library, "numbering", "next"));
    List<Integer> numbers =
        lead.get("/api/v1/libraries/%d/tools?sort=number".formatted(library))
            .at("items")
            .valueStream()
            .map(each -> each.get("number").asInt())
            .toList();
    assertEquals(List.of(1, 2, 3, 4, 5), numbers);
  }

  @Test
  void linesOfAnotherDeliveryAreNotFound() {
    long mine = lead.deliver("mine.csv", table("MINE", 1));
    long theirs = lead.deliver("theirs.csv", table("THEIRS", 1));
    long line = lead.get(PATH + "%d/lines".formatted(theirs)).at("items").get(0).get("id").asLong();
    Api.Answer refused =
        lead.send(
            "PATCH",
            PATH + "%d/lines/%d".formatted(mine, line),
            Api.body("cells", Api.body("DC", "9")));
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
    Api.Answer none =
        lead.post(
            PATH + "%d/repair".formatted(delivery),
            Api.body("finding", "ball-radius", "repair", "no-such-repair"));
    assertEquals(2, lead.get(PATH + delivery).number("hold"), none.toString());
    var groups = lead.get(PATH + "%d/findings".formatted(delivery)).at("items");
    assertEquals("ball-radius", groups.get(0).get("code").asString());
    String repair = groups.get(0).at("/repairs/0/id").asString();
    Api.Answer repaired =
        lead.post(
            PATH + "%d/repair".formatted(delivery),
            Api.body("finding", "ball-radius", "repair", repair));
    assertEquals(2, repaired.number("lines"));
    assertEquals(2, lead.get(PATH + delivery).number("pass"));
  }
}
