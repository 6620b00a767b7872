package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.concurrent.Executors;
import java.util.stream.IntStream;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;
import org.springframework.core.io.Resource;
import tools.jackson.databind.JsonNode;

/** What is odd in files or happens at the same time loses nothing and repeats nothing. */
class ReadingFaultsTest extends ServerTest {

  private static final String HEAD =
      "CODE,NAME,CLASS,NUMBER,DC [mm],APMX [mm],DMM [mm],OAL [mm],NOF\n";

  private static byte[] json(String prefix, int tools, String end) {
    StringBuilder file = new StringBuilder("{\"format\":\"arbor-line-tools\",\"tools\":[");
    for (int i = 1; i <= tools; i++) {
      file.append(i == 1 ? "" : ",\n")
          .append(
              "{\"code\":\"%s-%d\",\"name\":\"Mill\",\"class\":\"end-mill-flat\",\"values\":{\"DC\":\"6\",\"APMX\":\"13\",\"DMM\":\"6\",\"OAL\":\"57\",\"NOF\":\"4\"}}"
                  .formatted(prefix, i));
    }
    return file.append(end).toString().getBytes();
  }

  private Api.Answer delivery(long id) {
    return lead.get("/api/v1/deliveries/" + id);
  }

  private List<JsonNode> lines(long id) {
    return StreamSupport.stream(
            lead.get("/api/v1/deliveries/%d/lines?limit=500".formatted(id))
                .at("items")
                .spliterator(),
            false)
        .toList();
  }

  private Api.Answer accept(long id, long library, List<Long> lines) {
    return lead.post(
        "/api/v1/deliveries/%d/accept".formatted(id),
        Api.body("library", library, "numbering", "keep", "lines", lines));
  }

  @Test
  void aFileThatBreaksKeepsItsGoodLinesAndRepeatsNoneOfTheNext() {
    Resource broken = Api.named("broken.json", json("BRK", 1500, ",{\"code\":"));
    Resource next = Api.named("next.csv", table("NXT", 700).getBytes());
    long id = lead.deliver(broken, next);
    Api.Answer delivery = delivery(id);
    assertEquals("ready", delivery.text("state"));
    assertEquals(2200, delivery.number("read"));
    assertTrue(delivery.text("note").startsWith("broken.json: line "), delivery.text("note"));
    assertEquals(
        2200L,
        jdbc.sql("select count(distinct code) from delivery_line where delivery_id = ?")
            .param(id)
            .query(Long.class)
            .single());
  }

  @Test
  void anElementThatIsNoToolIsALineThatIsHeld() {
    byte[] file =
        ("{\"format\":\"arbor-line-tools\",\"tools\":[null,"
                + "{\"code\":\"NUL-1\",\"class\":\"end-mill-flat\"}]}")
            .getBytes();
    long id = lead.deliver("nulls.json", file);
    assertEquals(2, delivery(id).number("read"));
    assertEquals(2, delivery(id).number("hold"));
  }

  @Test
  void aTitleAboveTheTableIsSaidAndTheFileCanBePutAway() {
    long id = lead.deliver("titled.csv", "Our tools,,,\nCODE,DC,OAL,NOF\nTT-1,10,72,4\n");
    Api.Answer delivery = delivery(id);
    assertEquals(2, delivery.number("read"));
    assertEquals(1, delivery.number("skipped"));
    String found = lead.get("/api/v1/deliveries/%d/findings".formatted(id)).body().toString();
    assertTrue(found.contains("no tool: Our tools"), found);
  }

  @Test
  void blankAndKnownLinesAreCountedApart() {
    long library = library("Counted apart");
    long first = lead.deliver("first.csv", HEAD + "CA-1,Mill,end-mill-flat,1,6,13,6,57,4\n");
    accept(first, library, null);
    long second =
        lead.deliver("second.csv", HEAD + "CA-1,Mill,end-mill-flat,1,6.0,13,6,57,4\n,,,,,,,,\n");
    assertEquals(
        "nothing to take: the shop has 1 tool with the same values, 1 line is blank",
        delivery(second).text("note"));
  }

  @Test
  void linesThatStoodOnQueryStayTakenAndUndoTakesThemOut() {
    long library = library("Queried");
    long id = lead.deliver("q.csv", HEAD + "QU-1,Mill,end-mill-flat,1,0.5,12,12.7,83,2\n");
    JsonNode line = lines(id).getFirst();
    assertEquals("query", line.get("disposition").asString().toLowerCase(java.util.Locale.ROOT));
    Api.Answer taken = accept(id, library, List.of(line.get("id").asLong()));
    assertEquals(1, taken.number("accepted"));
    assertFalse(lines(id).getFirst().get("takenToolId").isNull());
    assertEquals(0, accept(id, library, null).number("accepted"));
    assertEquals(
        204, lead.post("/api/v1/trail/%d/undo".formatted(taken.number("undo")), null).status());
    assertEquals(0, lead.get("/api/v1/libraries/" + library).number("tools"));
    assertTrue(lines(id).getFirst().get("takenToolId").isNull());
  }

  @Test
  void aStopOnADeliveryAtRestDoesNotEndTheNextReading() {
    long id = lead.deliver("rest.csv", table("RST", 3));
    assertEquals(202, lead.post("/api/v1/deliveries/%d/stop".formatted(id), null).status());
    lead.send("PUT", "/api/v1/deliveries/%d/reading".formatted(id), Api.body("decimal", "."));
    lead.untilRead(id);
    assertEquals("ready", delivery(id).text("state"));
    assertEquals(3, delivery(id).number("read"));
  }

  @Test
  void readingAgainIsRefusedOnceLinesWereTaken() {
    long library = library("Taken before read again");
    long id = lead.deliver("again.csv", table("AGN", 2));
    accept(id, library, null);
    Api.Answer refused =
        lead.send("PUT", "/api/v1/deliveries/%d/reading".formatted(id), Api.body("decimal", "."));
    assertEquals(409, refused.status());
  }

  @Test
  void aHundredFilesMakeOneDelivery() {
    Resource[] files =
        IntStream.range(0, 100)
            .mapToObj(i -> Api.named("f%d.csv".formatted(i), table("HF" + i, 1).getBytes()))
            .toArray(Resource[]::new);
    assertEquals(100, delivery(lead.deliver(files)).number("read"));
  }

  @Test
  void anotherCellPutRightLeavesWhatIsStillOpen() {
    long id =
        lead.deliver(
            "comma.csv",
            HEAD.replace(',', ';')
                + "CM-1;Mill;end-mill-flat;1;10,5;x;10;1.000;4\nCM-2;M;end-mill-flat;2;8,5;13;8;57;4\n");
    JsonNode line = lines(id).getFirst();
    Api.Answer corrected =
        lead.send(
            "PATCH",
            "/api/v1/deliveries/%d/lines/%d".formatted(id, line.get("id").asLong()),
            Api.body("cells", Api.body("APMX", "22")));
    assertTrue(
        corrected.body().toString().contains("thousands-or-decimal"), corrected.body().toString());
    Api.Answer settled =
        lead.send(
            "PATCH",
            "/api/v1/deliveries/%d/lines/%d".formatted(id, line.get("id").asLong()),
            Api.body("cells", Api.body("OAL", "72")));
    assertFalse(settled.body().toString().contains("thousands-or-decimal"));
  }

  @Test
  void twentyWhoCreateAtOnceGetTwentyNumbers() throws Exception {
    long library = library("Twenty at once");
    try (var many = Executors.newVirtualThreadPerTaskExecutor()) {
      var answers = new ArrayList<java.util.concurrent.Future<Api.Answer>>();
      for (int i = 0; i < 20; i++) {
        String code = "TW-" + i;
        answers.add(
            many.submit(() ->
                lead.post(
                    "/api/v1/libraries/%d/tools".formatted(library), Draft.mill(code, "10"))));
      }
      for (var answer : answers) {
        assertEquals(201, answer.get().status(), answer.get().toString());
      }
    }
    Set<Integer> numbers =
        new TreeSet<>(
            jdbc.sql("select number from entry where library_id = ?")
                .param(library)
                .query(Integer.class)
                .list());
    assertEquals(20, numbers.size());
  }

  @Test
  void anEmptyToolIsRefused() {
    String path = "/api/v1/libraries/%d/tools".formatted(library("Empty"));
    Api.Answer nothing = lead.post(path, Api.body());
    assertEquals(400, nothing.status());
    assertTrue(nothing.text("detail").contains("'code' is missing"));
    Api.Answer blank =
        lead.post(path, Api.body("code", "", "name", "", "classId", "", "values", Api.body()));
    assertEquals(409, blank.status());
    assertTrue(blank.text("detail").contains("no code is given"));
  }

  @Test
  void aNumberThatWentToAnotherToolIsNotGivenBack() {
    long library = library("Given back");
    Api.Answer first =
        lead.post("/api/v1/libraries/%d/tools".formatted(library), Draft.mill("GB-1", "10"));
    long undo =
        lead.send(
                "DELETE",
                "/api/v1/libraries/%d/tools/%d".formatted(library, first.number("toolId")),
                null)
            .number("undo");
    lead.post("/api/v1/libraries/%d/tools".formatted(library), Draft.mill("GB-2", "10"));
    Api.Answer refused = lead.post("/api/v1/trail/%d/undo".formatted(undo), null);
    assertEquals(409, refused.status());
    assertTrue(refused.text("detail").contains("number 1 of the library is GB-2 now"));
  }

  @Test
  void numbersFollowTheOrderOfTheFile() {
    long library = library("In order");
    long id = lead.deliver("order.csv", table("ORD", 1200));
    lead.post(
        "/api/v1/deliveries/%d/accept".formatted(id),
        Api.body("library", library, "numbering", "next"));
    List<Integer> numbers =
        jdbc.sql(
                """
                select e.number from entry e join delivery_line l on l.taken_id = e.tool_id
                where l.delivery_id = ? order by l.position\
                """)
            .param(id)
            .query(Integer.class)
            .list();
    assertEquals(numbers.stream().sorted().toList(), numbers);
  }

  @Test
  void aSignThatCannotPartCellsIsRefused() {
    long id = lead.deliver("parted.csv", table("PRT", 2));
    for (String sign : List.of("\"", "\n", "a", "", ";;")) {
      Api.Answer refused =
          lead.send(
              "PUT", "/api/v1/deliveries/%d/reading".formatted(id), Api.body("delimiter", sign));
      assertEquals(400, refused.status(), sign);
    }
  }

  @Test
  void whoMayNotReceiveBringsNothingIn() {
    Resource file = Api.named("secret.csv", table("SEC", 1).getBytes());
    assertEquals(403, as("VISITOR").bring(file).status());
    assertEquals(401, new Api(port, "no such key").bring(file).status());
    assertEquals(
        0L,
        jdbc.sql("select count(*) from delivery where name = 'secret.csv'")
            .query(Long.class)
            .single());
  }

  @Test
  void anUploadThatBreaksOffIsRefusedInWords() throws Exception {
    HttpRequest cut =
        HttpRequest.newBuilder(URI.create("http://127.0.0.1:%d/api/v1/deliveries".formatted(port)))
            .header("Authorization", "Bearer key-LEAD")
            .header("Content-Type", "multipart/form-data; boundary=cut")
            .POST(
                HttpRequest.BodyPublishers.ofString(
                    "--cut\r\nContent-Disposition: form-data; name=\"files\"; filename=\"a.csv\"\r\n\r\nCODE"))
            .build();
    try (HttpClient client = HttpClient.newHttpClient()) {
      HttpResponse<String> answer = client.send(cut, HttpResponse.BodyHandlers.ofString());
      assertEquals(400, answer.statusCode());
      assertTrue(answer.body().contains("the upload broke off"), answer.body());
    }
  }
}
