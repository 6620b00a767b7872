package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

class ReceivingTest extends ServerTest {

  private void assertAddsUp(Api.Answer delivery) {
    assertEquals(
        delivery.number("read"),
        delivery.number("pass")
            + delivery.number("query")
            + delivery.number("hold")
            + delivery.number("skipped"));
  }

  private Api.Answer delivery(long id) {
    return lead.get("/api/v1/deliveries/" + id);
  }

  private Api.Answer accept(long id, long library) {
    return lead.post(
        "/api/v1/deliveries/%d/accept".formatted(id),
        Api.body("library", library, "numbering", "keep"));
  }

  @Test
  void starterFileIsInspectedRepairedTakenAndComesBackUnchanged() throws Exception {
    long library = library("Starter");
    long id =
        lead.deliver(
            "starter.csv", Files.readAllBytes(Path.of("../demo/incoming/marram-starter.csv")));
    Api.Answer read = delivery(id);
    assertEquals(58, read.number("read"));
    assertTrue(read.number("hold") > 5);
    assertAddsUp(read);
    assertEquals(
        3,
        lead.post(
                "/api/v1/deliveries/%d/repair".formatted(id),
                Api.body("finding", "missing.LCF", "repair", "estimate.LCF"))
            .number("lines"));
    assertEquals(read.number("query") - 3, delivery(id).number("query"));
    Api.Answer taken = accept(id, library);
    assertEquals(delivery(id).number("taken"), taken.number("accepted"));
    assertEquals(58, taken.number("accepted") + taken.number("held") + taken.number("skipped"));
    for (String format : List.of("csv", "json")) {
      byte[] file = lead.bytes("/api/v1/libraries/%d/export?format=%s".formatted(library, format));
      Api.Answer back = delivery(lead.deliver("back." + format, file));
      assertEquals(taken.number("accepted"), back.number("skipped"));
      assertTrue(back.text("note").startsWith("nothing to take: the shop has "));
    }
  }

  private static org.springframework.core.io.Resource file(String name, String content) {
    return Api.named(name, content.getBytes(StandardCharsets.UTF_8));
  }

  @Test
  void severalFilesAreOneDelivery() {
    long library = library("Several");
    long id =
        lead.deliver(
            file("a.csv", table("SEV", 2)),
            file("b.csv", table("SEV", 3).replace(',', ';')),
            file("c.json", "{\"tools\": 1}"));
    Api.Answer read = delivery(id);
    assertEquals("ready", read.text("state"));
    assertEquals("a.csv and 2 more", read.text("name"));
    assertEquals(5, read.number("read"));
    assertEquals(3, read.number("pass"));
    assertEquals(2, read.number("hold"));
    assertAddsUp(read);
    assertTrue(read.text("note").startsWith("c.json: "));
    Api.Answer held = lead.get("/api/v1/deliveries/%d/lines?severity=hold".formatted(id));
    var line = held.at("items").get(0);
    assertEquals(1, line.get("file").asInt());
    assertEquals(
        "code SEV-1 stands on line 2 of a.csv already",
        line.get("findings").get(0).get("message").asString());
    assertEquals(3, accept(id, library).number("accepted"));
  }

  @Test
  void oneFileOfSeveralIsReadAgainWithOtherDecisions() {
    long id =
        lead.deliver(
            file("a.csv", table("AGA", 1)),
            file("b.csv", table("AGB", 1).replace("OAL [mm]", "Long [mm]")));
    assertEquals(1, delivery(id).number("query"));
    var columns = delivery(id).at("files").get(1).get("reading").get("columns");
    int unread = 0;
    while (!columns.get(unread).get("symbol").asString().startsWith("NOTE")) {
      unread++;
    }
    lead.send(
        "PUT",
        "/api/v1/deliveries/%d/reading?file=1".formatted(id),
        Api.body("columns", Map.of(Integer.toString(unread), Map.of("symbol", "OAL"))));
    Api.until(() -> delivery(id).text("state").equals("ready"));
    assertEquals(2, delivery(id).number("pass"));
    assertEquals(
        404,
        lead.send("PUT", "/api/v1/deliveries/%d/reading?file=2".formatted(id), Api.body())
            .status());
  }

  @Test
  void linesOfSeveralFilesArePagedInTheirOrder() {
    long id = lead.deliver(file("a.csv", table("PGA", 30)), file("b.csv", table("PGB", 30)));
    List<Long> positions = new java.util.ArrayList<>();
    String after = "";
    do {
      Api.Answer page = lead.get("/api/v1/deliveries/%d/lines?limit=25%s".formatted(id, after));
      page.at("items").forEach(line -> positions.add(line.get("position").asLong()));
      after = page.at("next").isNull() ? null : "&after=" + page.text("next");
    } while (after != null);
    assertEquals(java.util.stream.LongStream.rangeClosed(1, 60).boxed().toList(), positions);
  }

  @Test
  void numbersByPlaceInTheDeliveryGoOnOverItsFiles() {
    long library = library("Positions");
    long id = lead.deliver(file("a.csv", table("PSA", 2)), file("b.csv", table("PSB", 2)));
    lead.post(
        "/api/v1/deliveries/%d/accept".formatted(id),
        Api.body("library", library, "numbering", "position"));
    List<Integer> numbers =
        lead.get("/api/v1/libraries/%d/tools?sort=number".formatted(library))
            .at("items")
            .valueStream()
            .map(tool -> tool.get("number").asInt())
            .toList();
    assertEquals(List.of(1, 2, 3, 4), numbers);
  }

  @Test
  void acceptingTwiceChangesNothingTheSecondTime() {
    long library = library("Twice");
    long id = lead.deliver("twice.csv", table("TWICE", 20));
    assertEquals(20, accept(id, library).number("accepted"));
    Api.Answer again = accept(id, library);
    assertEquals(0, again.number("accepted"));
    assertEquals(20, again.number("skipped"));
    assertEquals(20, lead.get("/api/v1/libraries/" + library).number("tools"));
  }

  @Test
  void twoPeopleTakingAtOnceTakeEveryLineOnce() {
    long library = library("At once");
    long id = lead.deliver("once.csv", table("ONCE", 300));
    var one = CompletableFuture.supplyAsync(() -> accept(id, library));
    var other = CompletableFuture.supplyAsync(() -> accept(id, library));
    assertEquals(300, one.join().number("accepted") + other.join().number("accepted"));
    assertEquals(300, lead.get("/api/v1/libraries/" + library).number("tools"));
  }

  @Test
  void takingCanBeTakenBackAndDoneAgain() {
    long library = library("Undone");
    long id = lead.deliver("undone.csv", table("UNDONE", 5));
    long undo = accept(id, library).number("undo");
    assertEquals(204, lead.post("/api/v1/trail/%d/undo".formatted(undo), null).status());
    assertEquals(0, lead.get("/api/v1/libraries/" + library).number("tools"));
    assertEquals(5, accept(id, library).number("accepted"));
    assertEquals(409, lead.post("/api/v1/trail/%d/undo".formatted(undo), null).status());
  }

  @Test
  void sameCodeWithOtherValuesIsHeldAndOfferedAFreeCode() {
    long library = library("Clash");
    accept(lead.deliver("one.csv", table("CLASH", 1)), library);
    long id = lead.deliver("two.csv", table("CLASH", 1).replace(",72,4", ",80,4"));
    assertEquals(1, delivery(id).number("hold"));
    Api.Answer line = lead.get("/api/v1/deliveries/%d/lines".formatted(id));
    assertTrue(
        line.at("items")
            .get(0)
            .get("findings")
            .get(0)
            .get("message")
            .asString()
            .contains("OAL 80 mm here, 72 mm in the shop"));
    lead.post(
        "/api/v1/deliveries/%d/repair".formatted(id),
        Api.body("finding", "code-taken", "repair", "code-next-free"));
    assertEquals(1, accept(id, library).number("accepted"));
  }

  @Test
  void correctedCellIsJudgedAtOnce() {
    long id = lead.deliver("cell.csv", table("CELL", 1).replace(",6,15,10", ",6,fifteen,10"));
    Api.Answer held = lead.get("/api/v1/deliveries/%d/lines?severity=hold".formatted(id));
    long line = held.at("items").get(0).get("id").asLong();
    Api.Answer corrected =
        lead.send(
            "PATCH",
            "/api/v1/deliveries/%d/lines/%d".formatted(id, line),
            Api.body("cells", Api.body("APMX", "15,5")));
    assertEquals("pass", corrected.text("disposition"));
    assertEquals(0, delivery(id).number("hold"));
  }

  @Test
  void queryEntersOnlyOnceSomebodyHasLooked() {
    long library = library("Looked");
    long id =
        lead.deliver(
            "query.csv",
            "CODE,CLASS,DC [mm],TCHA,APMX [mm],PHD [mm],DMM [mm],OAL [mm],NOF\n"
                + "LOOK-1,reamer,8,H7,33,7,8,117,6\n");
    assertEquals(1, delivery(id).number("query"));
    assertEquals(0, accept(id, library).number("accepted"));
    lead.post("/api/v1/deliveries/%d/look".formatted(id), Api.body("finding", "reaming-allowance"));
    assertEquals(1, accept(id, library).number("accepted"));
  }

  @Test
  void emptyFileAndHeaderOnlySayThatThereIsNothing() {
    for (String content : List.of("", "CODE,DC [mm]\n")) {
      Api.Answer delivery = delivery(lead.deliver("empty.csv", content));
      assertEquals("ready", delivery.text("state"));
      assertEquals(0, delivery.number("read"));
      assertTrue(delivery.text("note").contains("nothing to take"));
    }
  }

  @Test
  void aFileThatIsCalledAZipAndIsNoneIsRefusedInWords() {
    byte[] text = table("ZIP", 2).getBytes(StandardCharsets.UTF_8);
    Api.Answer refused = lead.bring(Api.named("Tools.ZIP", text));
    assertEquals(400, refused.status());
    assertTrue(refused.text("detail").startsWith("'Tools.ZIP' is no ZIP"), refused.text("detail"));
    Api.Answer empty = lead.bring(Api.named("none.zip", Zips.of(Map.of())));
    assertEquals(400, empty.status());
    assertTrue(empty.text("detail").contains("no file in it"), empty.text("detail"));
    Api.Uploaded conversion =
        lead.upload("/api/v1/conversions?to=csv", Api.named("Tools.ZIP", text));
    assertEquals(400, conversion.status());
  }

  @Test
  void encodingsDelimitersAndDecimalCommasAreFoundOut() {
    String semicolons =
        "CODE;NAME;CLASS;DC [mm];APMX [mm];DMM [mm];OAL [mm];NOF\n"
            + "ENC-%s;Fräser\nlang;end-mill-flat;12,5;20;12;83,5;4\n";
    String quoted = semicolons.replace("Fräser\nlang", "\"Fräser\nlang\"");
    for (Charset charset :
        List.of(StandardCharsets.UTF_8, StandardCharsets.UTF_16, Charset.forName("windows-1252"))) {
      long id = lead.deliver("enc.csv", quoted.formatted(charset.name()).getBytes(charset));
      Api.Answer delivery = delivery(id);
      assertEquals(1, delivery.number("pass"), charset.name());
      assertEquals(";", delivery.at("reading").get("delimiter").asString());
      assertEquals(
          "Fräser lang",
          lead.get("/api/v1/deliveries/%d/lines".formatted(id))
              .at("items")
              .get(0)
              .get("name")
              .asString());
    }
  }

  @Test
  void unknownHeaderIsSaidAndCanBeGivenItsMeaning() {
    long id = lead.deliver("head.csv", table("HEAD", 2).replace("DC [mm]", "Diameter"));
    Api.Answer before = delivery(id);
    assertEquals(2, before.number("hold"));
    assertEquals(
        "'Diameter' is not a symbol that we know; kept as a note",
        before.at("reading").get("columns").get(4).get("evidence").asString());
    Api.Answer again =
        lead.send(
            "PUT",
            "/api/v1/deliveries/%d/reading".formatted(id),
            Api.body("columns", Api.body("4", Api.body("symbol", "DC", "unit", "mm"))));
    assertEquals(202, again.status());
    Api.until(() -> delivery(id).text("state").equals("ready"));
    assertEquals(2, delivery(id).number("pass"));
  }

  @Test
  void aTradeDefaultGivesWayToTheDesignationBesideIt() {
    String holder =
        """
        {"format": "arbor-line-tools", "version": 1, "tools": [{
          "code": "TD-LEFT", "name": "Left hand", "class": "turning-external",
          "values": {"SHANK": "PDJNL2525M15", "MIID": "DNMG150612",
            "HAND": {"text": "R", "defaulted": true},
            "RE": {"text": "0.8", "unit": "mm", "defaulted": true}}}]}
        """;
    JsonNode line =
        lead.get("/api/v1/deliveries/" + lead.deliver("left.json", holder) + "/lines")
            .body()
            .at("/items/0");
    assertEquals("pass", line.get("disposition").asString(), line.toString());
    assertEquals("L", line.at("/cells/HAND/text").asString());
    assertEquals("is read from the designation SHANK", line.at("/cells/HAND/implied").asString());
    assertEquals("1.2", line.at("/cells/RE/text").asString());
  }

  @Test
  void unreadableJsonFailsWithPlaceAndReason() {
    Api.Answer delivery =
        delivery(lead.deliver("bad.json", "{\"format\":\"arbor-line-tools\",\n\"tools\":[{]}"));
    assertEquals("failed", delivery.text("state"));
    assertTrue(delivery.text("note").startsWith("line 2"));
  }

  @Test
  void wrongOrdersAreRefusedInWords() {
    long id = lead.deliver("order.csv", table("ORDER", 1));
    Api.Answer numbering =
        lead.post(
            "/api/v1/deliveries/%d/accept".formatted(id),
            Api.body("library", 1, "numbering", "sideways"));
    assertEquals(400, numbering.status());
    assertEquals("numbering is keep, next, range or position", numbering.text("detail"));
    assertEquals(404, accept(id, 999_999).status());
    assertEquals(404, lead.get("/api/v1/deliveries/999999").status());
  }

  @Test
  void visitorsAndOperatorsMayNotReceive() {
    for (String role : List.of("VISITOR", "OPERATOR", "TOOLROOM")) {
      Api.Answer refused = as(role).post("/api/v1/deliveries/1/accept", Api.body("library", 1));
      assertEquals(403, refused.status(), role);
    }
  }
}
