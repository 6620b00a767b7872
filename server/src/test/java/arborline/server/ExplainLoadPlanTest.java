package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.net.URI;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

/** Load plans that somebody sends. */
class ExplainLoadPlanTest extends ServerTest {

  private static final String PATH = "/api/v1/explain/load-plan";
  private static final Path CASES = Path.of("../core/src/test/resources/vectors/load-plan.json");
  private static final String STORAGE =
      """
      {"id": "C", "form": "chain", "places": 4, "pitch": 90, "closed": true}\
      """;
  private static final String TOOL =
      """
      {"diameter": 10, "length": 100, "mass": 1, "moment": 0.5}\
      """;

  private Api.Answer sent(String body) {
    return as("VISITOR").raw("POST", URI.create(PATH), body);
  }

  @Test
  void everyWorkedCaseIsAnsweredAsItSays() throws Exception {
    JsonNode cases = Api.JSON.readTree(Files.readAllBytes(CASES)).get("cases");
    for (JsonNode worked : cases) {
      String id = worked.get("id").asString();
      Api.Answer answer = sent(worked.get("input").toString());
      assertEquals(200, answer.status(), id);
      JsonNode truth = worked.get("truth");
      assertEquals(truth.get("feasible"), answer.at("feasible"), id);
      assertEquals(truth.get("fewestMoves"), answer.at("fewestMoves"), id);
      assertEquals(truth.get("why"), answer.at("why"), id);
      assertEquals(truth.get("feasible"), answer.at("optimal"), id);
      assertEquals(truth.get("why").isEmpty(), answer.at("sentences").isEmpty(), id);
    }
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      textBlock =
          """
          {} | machine.storages: name one storage
          {"machine": null} | machine.storages: name one storage
          {"machine": {"storages": [STORAGE, STORAGE]}} | two are called 'C'
          {"machine": {"storages": [{"id": "C", "form": "drum", "places": 3}]}} | [0].form: choose
          {"machine": {"storages": [{"id": "C", "form": "chain"}]}} | [0].places: state 1 to 200
          {"machine": {"storages": [{"form": "chain", "places": 3}]}} | [0].id: name the storage
          {"machine": {"storages": [STORAGE]}, "wanted": ["A"]} | wanted: 'A' is none of the tools
          {"machine": {"storages": [STORAGE]}, "wanted": [null]} | has an item that is missing
          {"machine": {"storages": [STORAGE]}, "tools": {"A": {"diameter": 1}}} | tools.A.length
          {"machine": {"storages": [STORAGE]}, "tools": {"A": null}} | has an item that is missing
          {"machine": {"storages": [STORAGE]}, "tools": {"A": TOOL}, "present": {"C/9": "A"}} | 'C/9'
          {"machine": {"storages": [STORAGE]}, "tools": {"A": TOOL}, "present": {"1": "A"}} | place '1'
          {"machine": {"storages": [STORAGE]}, "tools": {"A": TOOL}, "keep": ["A"]} | stands nowhere
          """)
  void whatIsWrongIsNamedWithItsPlace(String body, String message) {
    Api.Answer answer = sent(body.replace("STORAGE", STORAGE).replace("TOOL", TOOL));
    assertEquals(400, answer.status(), answer.toString());
    assertTrue(answer.text("detail").contains(message), answer.text("detail"));
  }

  @Test
  void aToolInTwoPlacesAndSizesBeyondAllMeasureAreRefused() {
    String machine = "{\"machine\": {\"storages\": [" + STORAGE + "]}, ";
    assertEquals(
        "present: A stands in two places; take one out",
        sent(machine
                + "\"tools\": {\"A\": "
                + TOOL
                + "}, \"present\": {\"C/1\": \"A\", \"C/2\":"
                + " \"A\"}}")
            .text("detail"));
    for (String size : new String[] {"1e300", "-1", "1e-300"}) {
      String tool = TOOL.replace("\"mass\": 1", "\"mass\": " + size);
      assertEquals(400, sent(machine + "\"tools\": {\"A\": " + tool + "}}").status(), size);
    }
  }
}
