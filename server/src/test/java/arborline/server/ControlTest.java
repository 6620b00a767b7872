package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.math.BigDecimal;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.AfterEach;
import org.springframework.http.MediaType;
import org.springframework.web.client.RestClient;
import tools.jackson.databind.JsonNode;

/** A control and a machine that have only the one tool that a test is about. */
abstract class ControlTest extends ServerTest {

  private final Map<ControlSubject, List<Map<String, Object>>> before =
      new EnumMap<>(ControlSubject.class);

  /** The machine of a test has only the one tool that the test is about, and its control too. */
  final Map<String, String> alone(ControlSubject subject) throws IOException {
    behave(subject, "{}");
    shop(subject).post().uri("/forget").retrieve().toBodilessEntity();
    before.computeIfAbsent(
        subject,
        machine ->
            jdbc.sql("select * from plan_place where machine_id = ?")
                .param(machine.name())
                .query()
                .listOfRows());
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
  static Map<String, String> measured(ControlSubject subject, String place) throws IOException {
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
  void plansAsBefore() {
    before.forEach((machine, rows) -> {
      jdbc.sql("delete from plan_place where machine_id = ?").param(machine.name()).update();
      rows.forEach(this::planAsBefore);
    });
  }

  private void planAsBefore(Map<String, Object> row) {
    List<String> columns = List.copyOf(row.keySet());
    jdbc.sql(
            "insert into plan_place (%s) values (%s)"
                .formatted(
                    String.join(", ", columns),
                    String.join(", ", Collections.nCopies(columns.size(), "?"))))
        .params(columns.stream().map(row::get).toList())
        .update();
  }

  final void plan(ControlSubject subject, Map<String, String> sizes) {
    plan(subject, subject.place, subject.code, sizes);
    if (subject == ControlSubject.L1) {
      Api.Answer numbered = numbered(subject, subject.number);
      assertTrue(Set.of(200, 409).contains(numbered.status()), numbered.body().toString());
    }
  }

  /** Gives the tool its number, also where jobs call it by another; 409 where it has it. */
  final Api.Answer numbered(ControlSubject subject, int number) {
    return lead.send(
        "PUT",
        subject.path() + "/numbers?changeJobs=true",
        Api.body("places", List.of(subject.place), "first", number, "step", 1));
  }

  final void plan(ControlSubject subject, String place, String code, Map<String, String> sizes) {
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

  final void clear(ControlSubject subject, String place) {
    Api.Answer cleared =
        lead.send("DELETE", subject.path() + "/plan/" + place + "?changeJobs=true", null);
    assertEquals(200, cleared.status(), cleared.body().toString());
  }

  final void measure(ControlSubject subject, Map<String, String> sizes, String added) {
    String longer =
        new BigDecimal(sizes.get(subject.field)).add(new BigDecimal(added)).toPlainString();
    sizes.put(subject.field, longer);
    plan(subject, sizes);
  }

  static RestClient shop(ControlSubject subject) {
    return RestClient.create(Api.SHOP + "/" + subject.name().toLowerCase(Locale.ROOT));
  }

  static void behave(ControlSubject subject, String json) {
    shop(subject)
        .put()
        .uri("/behaviour")
        .contentType(MediaType.APPLICATION_JSON)
        .body(json)
        .retrieve()
        .toBodilessEntity();
  }

  static void operator(ControlSubject subject, String size) {
    shop(subject)
        .post()
        .uri("/operator")
        .body(subject.operator.formatted(size))
        .retrieve()
        .toBodilessEntity();
  }

  final Api.Answer compare(ControlSubject subject) {
    return lead.get(subject.path() + "/reconciliation");
  }

  static JsonNode row(ControlSubject subject, Api.Answer compared) {
    return row(subject.place, compared);
  }

  static JsonNode row(String place, Api.Answer compared) {
    assertEquals(200, compared.status(), compared.body().toString());
    return StreamSupport.stream(compared.at("items").spliterator(), false)
        .filter(row -> row.get("place").asString().equals(place))
        .findFirst()
        .orElseThrow();
  }

  final Api.Answer apply(
      ControlSubject subject, Api.Answer compared, Map<String, String> decisions) {
    return lead.post(
        subject.path() + "/reconciliation/apply",
        Api.body("read", compared.number("read"), "decisions", decisions));
  }

  final Api.Answer send(ControlSubject subject) {
    Api.Answer compared = compare(subject);
    assertEquals("measured", row(subject, compared).get("why").asString());
    return apply(subject, compared, Map.of(subject.place, "send"));
  }
}
