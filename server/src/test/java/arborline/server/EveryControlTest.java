package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.math.BigDecimal;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.stream.Stream;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.springframework.http.MediaType;
import org.springframework.web.client.RestClient;
import tools.jackson.databind.JsonNode;

/** Read, compare, write, prove, misbehave, recover: the same for controls of every dialect. */
class EveryControlTest extends ServerTest {

  /** A planned tool of each machine, and how its operator changes a size of it. */
  enum Subject {
    L1(
        "5",
        "7",
        "OT-GR2-C",
        "OT-GR3-C",
        "Cormorant turning",
        "z",
        603,
        "{\"number\":603,\"values\":{\"Z\":%s}}"),
    M3(
        "11",
        "13",
        "MM-BL03",
        "MM-BL04",
        "Marram milling",
        "length",
        11,
        "{\"tool\":\"MM-BL03|1\",\"values\":{\"Edge1.Length\":%s}}"),
    R1(
        "6",
        "5",
        "PR-DC06",
        "PR-CP16",
        "Pelican router",
        "length",
        6,
        "{\"file\":\"TOOLS.DB\",\"cells\":[\"6\",\"PR-DC06\",\"Down-cut router bit 6\",\"%s\","
            + "\"5.989\",\"down-cut\"],\"all\":true}"),
    X1(
        "20",
        "9",
        "MM-BL04",
        "MM-BL03",
        "Marram milling",
        "length",
        12,
        "{\"place\":\"20\",\"edge\":1,\"values\":{\"length\":%s}}");

    private final String place;
    private final String otherPlace;
    private final String code;
    private final String otherCode;
    private final String library;
    private final String field;
    private final int number;
    private final String operator;

    Subject(
        String place,
        String otherPlace,
        String code,
        String otherCode,
        String library,
        String field,
        int number,
        String operator) {
      this.place = place;
      this.otherPlace = otherPlace;
      this.code = code;
      this.otherCode = otherCode;
      this.library = library;
      this.field = field;
      this.number = number;
      this.operator = operator;
    }

    String path() {
      return "/api/v1/machines/" + name();
    }
  }

  private List<Map<String, Object>> before = List.of();

  /** The machine of a test has only the one tool that the test is about, and its control too. */
  private Map<String, String> alone(Subject subject) throws IOException {
    behave(subject, "{}");
    shop(subject).post().uri("/forget").retrieve().toBodilessEntity();
    before =
        jdbc.sql("select * from plan_place where machine_id = ?")
            .param(subject.name())
            .query()
            .listOfRows();
    for (String table : List.of("plan_place", "agreed_place", "table_claim")) {
      jdbc.sql("delete from %s where machine_id = ?".formatted(table))
          .param(subject.name())
          .update();
    }
    Map<String, String> sizes = measured(subject, subject.place);
    plan(subject, sizes);
    operator(subject, sizes.get(subject.field));
    Api.Answer compared = compare(subject);
    assertEquals(
        "in step", row(subject, compared).get("state").asString(), compared.body().toString());
    assertEquals("in step", apply(subject, compared, Map.of()).text("state"));
    return sizes;
  }

  /** What the demo measured of the tool of a place. */
  private static Map<String, String> measured(Subject subject, String place) throws IOException {
    Map<String, String> sizes = new TreeMap<>();
    Api.JSON
        .readTree(Files.readString(Path.of("../demo/measured.json")))
        .get(subject.name())
        .get(place)
        .properties()
        .forEach(size -> sizes.put(size.getKey(), size.getValue().asString()));
    return sizes;
  }

  @AfterEach
  void planAsBefore() {
    if (before.isEmpty()) {
      return;
    }
    jdbc.sql("delete from plan_place where machine_id = ?")
        .param(before.getFirst().get("machine_id"))
        .update();
    for (Map<String, Object> row : before) {
      List<String> columns = List.copyOf(row.keySet());
      jdbc.sql(
              "insert into plan_place (%s) values (%s)"
                  .formatted(
                      String.join(", ", columns),
                      String.join(", ", columns.stream().map(column -> "?").toList())))
          .params(columns.stream().map(row::get).toList())
          .update();
    }
  }

  private void plan(Subject subject, Map<String, String> sizes) {
    plan(subject, subject.place, subject.code, sizes);
    if (subject == Subject.L1) {
      Api.Answer numbered = numbered(subject, subject.number);
      assertTrue(Set.of(200, 409).contains(numbered.status()), numbered.body().toString());
    }
  }

  /** Gives the tool its number, also where jobs call it by another; 409 where it has it. */
  private Api.Answer numbered(Subject subject, int number) {
    return lead.send(
        "PUT",
        subject.path() + "/numbers?changeJobs=true",
        Api.body("places", List.of(subject.place), "first", number, "step", 1));
  }

  private void plan(Subject subject, String place, String code, Map<String, String> sizes) {
    Map<String, Object> ids =
        jdbc.sql(
                "select e.tool_id, e.library_id from entry e join library l on l.id = e.library_id"
                    + " where e.code = ? and l.name = ?")
            .params(code, subject.library)
            .query()
            .singleRow();
    Api.Answer planned =
        lead.send(
            "PUT",
            subject.path() + "/plan/" + place,
            Api.body(
                "toolId",
                ids.get("tool_id"),
                "libraryId",
                ids.get("library_id"),
                "sizes",
                sizes,
                "allow",
                true));
    assertEquals(200, planned.status(), planned.body().toString());
  }

  private void clear(Subject subject, String place) {
    Api.Answer cleared =
        lead.send("DELETE", subject.path() + "/plan/" + place + "?changeJobs=true", null);
    assertEquals(200, cleared.status(), cleared.body().toString());
  }

  private void measure(Subject subject, Map<String, String> sizes, String added) {
    String longer =
        new BigDecimal(sizes.get(subject.field)).add(new BigDecimal(added)).toPlainString();
    sizes.put(subject.field, longer);
    plan(subject, sizes);
  }

  private static RestClient shop(Subject subject) {
    return RestClient.create(Api.SHOP + "/" + subject.name().toLowerCase(Locale.ROOT));
  }

  private static void behave(Subject subject, String json) {
    shop(subject)
        .put()
        .uri("/behaviour")
        .contentType(MediaType.APPLICATION_JSON)
        .body(json)
        .retrieve()
        .toBodilessEntity();
  }

  private static void operator(Subject subject, String size) {
    shop(subject)
        .post()
        .uri("/operator")
        .body(subject.operator.formatted(size))
        .retrieve()
        .toBodilessEntity();
  }

  private Api.Answer compare(Subject subject) {
    return lead.get(subject.path() + "/reconciliation");
  }

  private static JsonNode row(Subject subject, Api.Answer compared) {
    return row(subject.place, compared);
  }

  private static JsonNode row(String place, Api.Answer compared) {
    assertEquals(200, compared.status(), compared.body().toString());
    return StreamSupport.stream(compared.at("items").spliterator(), false)
        .filter(row -> row.get("place").asString().equals(place))
        .findFirst()
        .orElseThrow();
  }

  /** Sends every place that is not in step; afterwards the control holds just this. */
  private void sendAll(Subject subject, Map<String, String> held) {
    Api.Answer compared = compare(subject);
    Map<String, String> decisions = new TreeMap<>();
    compared
        .at("items")
        .forEach(row -> {
          if (!row.get("state").asString().equals("in step")) {
            decisions.put(row.get("place").asString(), "send");
          }
        });
    Api.Answer applied = apply(subject, compared, decisions);
    assertEquals("in step", applied.text("state"), applied.body().toString());
    Api.Answer after = compare(subject);
    Map<String, String> shown = new TreeMap<>();
    after
        .at("items")
        .forEach(row -> {
          assertEquals("in step", row.get("state").asString(), row.toString());
          if (row.get("held").asBoolean()) {
            JsonNode size = row.get("control").get(subject.field);
            shown.put(
                row.get("place").asString(),
                new BigDecimal(size.asString()).stripTrailingZeros().toPlainString());
          }
        });
    Map<String, String> expected = new TreeMap<>();
    held.forEach((place, size) ->
        expected.put(place, new BigDecimal(size).stripTrailingZeros().toPlainString()));
    assertEquals(expected, shown, after.body().toString());
  }

  private Api.Answer apply(Subject subject, Api.Answer compared, Map<String, String> decisions) {
    return lead.post(
        subject.path() + "/reconciliation/apply",
        Api.body("read", compared.number("read"), "decisions", decisions));
  }

  private Api.Answer send(Subject subject) {
    Api.Answer compared = compare(subject);
    assertEquals("measured", row(subject, compared).get("why").asString());
    return apply(subject, compared, Map.of(subject.place, "send"));
  }

  @ParameterizedTest
  @EnumSource(Subject.class)
  void aNewMeasureGoesOutAndIsProved(Subject subject) throws IOException {
    Map<String, String> sizes = alone(subject);
    measure(subject, sizes, "0.25");
    Api.Answer compared = compare(subject);
    Api.Answer dry =
        lead.post(
            subject.path() + "/reconciliation/dry-run",
            Api.body("read", compared.number("read"), "decisions", Map.of(subject.place, "send")));
    String digits = sizes.get(subject.field).replaceAll("0+$", "");
    assertTrue(dry.at("files").toString().contains(digits), dry.body().toString());
    Api.Answer applied = send(subject);
    assertEquals("in step", applied.text("state"), applied.body().toString());
    JsonNode after = row(subject, compare(subject));
    assertEquals("in step", after.get("state").asString());
    String shown = after.get("control").get(subject.field).asString();
    assertEquals(0, new BigDecimal(sizes.get(subject.field)).compareTo(new BigDecimal(shown)));
  }

  @ParameterizedTest
  @EnumSource(Subject.class)
  void whatTheOperatorMeasuredIsTakenAndNotOverwrittenUnseen(Subject subject) throws IOException {
    Map<String, String> sizes = alone(subject);
    Api.Answer seen = compare(subject);
    String other =
        new BigDecimal(sizes.get(subject.field)).add(new BigDecimal("0.125")).toPlainString();
    operator(subject, other);
    assertEquals(409, apply(subject, seen, Map.of()).status());
    Api.Answer compared = compare(subject);
    assertEquals("measured-at-control", row(subject, compared).get("why").asString());
    Api.Answer taken = apply(subject, compared, Map.of(subject.place, "take"));
    assertEquals("in step", taken.text("state"), taken.body().toString());
    JsonNode after = row(subject, compare(subject));
    assertEquals("in step", after.get("state").asString(), after.toString());
    String kept = after.get("plan").get(subject.field).asString();
    assertEquals(0, new BigDecimal(other).compareTo(new BigDecimal(kept)));
  }

  @ParameterizedTest
  @EnumSource(Subject.class)
  void aToolThatMovedIsInItsNewPlaceOnly(Subject subject) throws IOException {
    Map<String, String> sizes = alone(subject);
    clear(subject, subject.place);
    plan(subject, subject.otherPlace, subject.code, sizes);
    sendAll(subject, Map.of(subject.otherPlace, sizes.get(subject.field)));
  }

  @ParameterizedTest
  @EnumSource(Subject.class)
  void aToolThatIsNoLongerPlannedIsTakenOffTheControl(Subject subject) throws IOException {
    alone(subject);
    clear(subject, subject.place);
    sendAll(subject, Map.of());
  }

  @ParameterizedTest
  @EnumSource(Subject.class)
  void twoToolsThatChangePlacesTakeTheirSizesAlong(Subject subject) throws IOException {
    Map<String, String> sizes = alone(subject);
    Map<String, String> others = measured(subject, subject.otherPlace);
    plan(subject, subject.otherPlace, subject.otherCode, others);
    sendAll(
        subject,
        Map.of(
            subject.place,
            sizes.get(subject.field),
            subject.otherPlace,
            others.get(subject.field)));
    clear(subject, subject.place);
    clear(subject, subject.otherPlace);
    plan(subject, subject.place, subject.otherCode, others);
    plan(subject, subject.otherPlace, subject.code, sizes);
    sendAll(
        subject,
        Map.of(
            subject.place,
            others.get(subject.field),
            subject.otherPlace,
            sizes.get(subject.field)));
  }

  @ParameterizedTest
  @EnumSource(
      value = Subject.class,
      names = {"L1", "M3", "X1"})
  void aToolWithAnotherNumberKeepsItsSizes(Subject subject) throws IOException {
    Map<String, String> sizes = alone(subject);
    int number = subject == Subject.L1 ? 650 : 77;
    assertEquals(200, numbered(subject, number).status());
    sendAll(subject, Map.of(subject.place, sizes.get(subject.field)));
  }

  /** Everybody gets an answer, and a change is kept once. */
  @Test
  void twentyWhoReadAtOnceDisturbNobody() throws IOException {
    Map<String, String> sizes = alone(Subject.X1);
    String other = new BigDecimal(sizes.get("length")).add(BigDecimal.ONE).toPlainString();
    long before = changes();
    operator(Subject.X1, other);
    List<Callable<Api.Answer>> readings =
        Collections.nCopies(20, (Callable<Api.Answer>) () -> compare(Subject.X1));
    try (ExecutorService threads = Executors.newFixedThreadPool(20)) {
      for (Future<Api.Answer> answer : threads.invokeAll(readings)) {
        assertEquals("measured-at-control", row(Subject.X1, answer.get()).get("why").asString());
      }
    } catch (InterruptedException | ExecutionException failed) {
      throw new AssertionError(failed);
    }
    assertEquals(before + 1, changes());
  }

  private long changes() {
    return jdbc.sql("select count(*) from table_change where machine_id = 'X1'")
        .query(Long.class)
        .single();
  }

  /** What changed where, when it was seen, and who wrote it. */
  @ParameterizedTest
  @EnumSource(Subject.class)
  void whatChangedAtTheControlIsKept(Subject subject) throws IOException {
    Map<String, String> sizes = alone(subject);
    String other =
        new BigDecimal(sizes.get(subject.field)).add(new BigDecimal("0.125")).toPlainString();
    operator(subject, other);
    compare(subject);
    JsonNode changed = newest(subject);
    assertEquals(subject.field, changed.get("field").asString());
    assertEquals(
        0, new BigDecimal(other).compareTo(new BigDecimal(changed.get("became").asString())));
    assertTrue(changed.get("by").isNull(), "at the machine");
    measure(subject, sizes, "0.25");
    Api.Answer compared = compare(subject);
    assertEquals("both-changed", row(subject, compared).get("why").asString());
    apply(subject, compared, Map.of(subject.place, "send"));
    JsonNode written = newest(subject);
    assertEquals(changed.get("became").asString(), written.get("was").asString());
    assertTrue(written.get("by").asString().contains("lead"), written.toString());
  }

  private JsonNode newest(Subject subject) {
    Api.Answer history = lead.get(subject.path() + "/table/history?place=" + subject.place);
    assertEquals(200, history.status(), history.body().toString());
    return StreamSupport.stream(history.at("items").spliterator(), false)
        .filter(change -> change.get("field").asString().equals(subject.field))
        .findFirst()
        .orElseThrow();
  }

  static List<Arguments> unreadable() {
    return Stream.of(Subject.values())
        .flatMap(subject ->
            List.of("offline", "garbage", "halfFile").stream()
                .map(fault -> Arguments.of(subject, fault)))
        .toList();
  }

  @ParameterizedTest
  @MethodSource("unreadable")
  void whatCannotBeReadIsSaidAndWritesNothing(Subject subject, String fault) throws IOException {
    Map<String, String> sizes = alone(subject);
    measure(subject, sizes, "0.25");
    Api.Answer compared = compare(subject);
    behave(subject, "{\"%s\":true}".formatted(fault));
    Api.Answer refused = compare(subject);
    assertEquals(502, refused.status(), refused.body().toString());
    assertTrue(refused.text("detail").contains(subject.name()), refused.text("detail"));
    assertEquals(502, apply(subject, compared, Map.of(subject.place, "send")).status());
    behave(subject, "{}");
    assertEquals("in step", send(subject).text("state"));
  }

  /** Nothing is ordered by the clock of a control; that it goes wrong is said. */
  @ParameterizedTest
  @EnumSource(
      value = Subject.class,
      names = {"L1", "M3", "X1"})
  void aWrongClockIsSaidAndDisturbsNothing(Subject subject) throws IOException {
    Map<String, String> sizes = alone(subject);
    measure(subject, sizes, "0.25");
    behave(subject, "{\"clockMinutes\":-180}");
    assertEquals("in step", send(subject).text("state"));
    JsonNode watch = compare(subject).at("watch");
    assertTrue(Math.abs(watch.get("clockAheadSeconds").asLong() + 180 * 60) < 60, watch.toString());
    behave(subject, "{}");
    assertTrue(Math.abs(compare(subject).at("watch").get("clockAheadSeconds").asLong()) < 60);
  }

  static List<Arguments> refusing() {
    return Stream.of(Subject.values())
        .flatMap(subject ->
            List.of(
                    "{\"refuseRegister\":%d}".formatted(subject.number),
                    "{\"protectedMemory\":true}",
                    "{\"cutAfterRows\":0}")
                .stream()
                .map(fault -> Arguments.of(subject, fault)))
        .toList();
  }

  @ParameterizedTest
  @MethodSource("refusing")
  void whatIsNotTakenIsSaidAndDoingItAgainEndsInStep(Subject subject, String fault)
      throws IOException {
    Map<String, String> sizes = alone(subject);
    measure(subject, sizes, "0.25");
    Api.Answer compared = compare(subject);
    behave(subject, fault);
    Api.Answer interrupted = apply(subject, compared, Map.of(subject.place, "send"));
    assertEquals(200, interrupted.status(), interrupted.body().toString());
    assertFalse(interrupted.text("state").equals("in step"), interrupted.body().toString());
    assertEquals(subject.place, interrupted.at("notWritten").get(0).asString());
    if (!fault.contains("cut")) {
      assertTrue(interrupted.text("problem").contains("ALARM 0"), interrupted.text("problem"));
    }
    behave(subject, "{}");
    assertEquals("in step", send(subject).text("state"));
    assertEquals("in step", row(subject, compare(subject)).get("state").asString());
  }
}
