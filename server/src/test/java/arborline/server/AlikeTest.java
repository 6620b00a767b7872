package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** What stands under another code, and the inserts that holders take. */
class AlikeTest extends ServerTest {

  private static final String MILLS = "CODE,NAME,CLASS,DC [mm],APMX [mm],OAL [mm],DMM [mm],NOF\n";
  private static final String HOLDERS = "CODE,NAME,CLASS,SHANK,MIID\n";
  private static final String INSERTS =
      "CODE,NAME,CLASS,MIID,SC,IC [mm],S [mm],RE [mm],AN [deg],EPSR [deg]\n";

  private static String mill(String code, String teeth) {
    return "%s,Mill %s,end-mill-flat,11.3,22,72.5,12,%s\n".formatted(code, code, teeth);
  }

  private long take(long delivery, String library) {
    long id = lead.post("/api/v1/libraries", Api.body("name", library)).number("id");
    Api.Answer taken =
        lead.post(
            "/api/v1/deliveries/%d/accept".formatted(delivery),
            Api.body("library", id, "numbering", "keep"));
    assertEquals(200, taken.status(), taken.toString());
    return id;
  }

  private List<String> sentences(long delivery, String code, String finding) {
    JsonNode items = lead.get("/api/v1/deliveries/%d/lines".formatted(delivery)).at("items");
    return StreamSupport.stream(items.spliterator(), false)
        .filter(line -> line.get("code").asString().equals(code))
        .flatMap(line -> StreamSupport.stream(line.get("findings").spliterator(), false))
        .filter(found -> found.get("code").asString().equals(finding))
        .map(found -> found.get("message").asString())
        .toList();
  }

  @Test
  void aToolThatTheShopHasUnderAnotherCodeIsNoticedAndNotHeld() {
    take(lead.deliver("first.csv", MILLS + mill("AKA-1", "4")), "Alike, the first");
    long again = lead.deliver("again.csv", MILLS + mill("AKA-9", "4") + mill("AKA-8", "6"));
    assertEquals(
        List.of(
            "tool AKA-1 of the shop has the same class and the same values:"
                + " it may be the same tool"),
        sentences(again, "AKA-9", "same-dimensions"));
    assertEquals(List.of(), sentences(again, "AKA-8", "same-dimensions"));
    assertEquals(2, lead.get("/api/v1/deliveries/%d".formatted(again)).number("pass"));
  }

  @Test
  void twoCodesForOneToolInOneDeliveryAreNoticedOnTheSecond() {
    long delivery = lead.deliver("twins.csv", MILLS + mill("AKB-1", "9") + mill("AKB-2", "9"));
    assertEquals(List.of(), sentences(delivery, "AKB-1", "same-dimensions"));
    assertEquals(
        List.of("line 2 (AKB-1) has the same class and the same values: it may be the same tool"),
        sentences(delivery, "AKB-2", "same-dimensions"));
  }

  @Test
  void insertsTravelWithTheHoldersThatTakeThem() {
    long holders =
        lead.deliver(
            "holders.csv", HOLDERS + "AKC-H,Holder,turning-external,PTGNR3232P27,TNMG270624\n");
    assertEquals(
        List.of("insert TNMG270624 is neither in this delivery nor among the tools of the shop"),
        sentences(holders, "AKC-H", "insert-missing"));
    long library = take(holders, "Holders alone");
    assertEquals("insert TNMG270624", lossesOf(library).at("/absent/0/what").asString());

    String insert = "AKC-I,Insert TNMG 270624,insert,TNMG 270624,T,15.875,6.35,2.4,0,60\n";
    take(lead.deliver("inserts.csv", INSERTS + insert), "Inserts apart");
    assertEquals(0, lossesOf(library).get("absent").size());
    for (String format : List.of("csv", "json", "text")) {
      String file = written(library, format);
      assertTrue(file.contains("AKC-I"), file);
    }
    long arrived = lead.deliver("whole.json", written(library, "json"));
    assertEquals(List.of(), sentences(arrived, "AKC-H", "insert-missing"));
  }

  private JsonNode lossesOf(long library) {
    return lead.get("/api/v1/libraries/%d/losses?format=csv".formatted(library)).body();
  }

  private String written(long library, String format) {
    return new String(
        lead.bytes("/api/v1/libraries/%d/export?format=%s".formatted(library, format)),
        StandardCharsets.UTF_8);
  }
}
