package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.math.BigDecimal;
import java.net.URI;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

/** Tool tables that somebody sends. */
class ExplainReconciliationTest extends ServerTest {

  private static final String PATH = "/api/v1/explain/reconciliation";
  private static final Path CASES = Path.of("../core/src/test/resources/vectors/tables.json");
  private static final String MACHINE =
      """
      "machine": {"unit": "mm", "identity": "apart", "register": "diameter", "wear": true}\
      """;

  private Api.Answer sent(String body) {
    return as("VISITOR").raw("POST", URI.create(PATH), body);
  }

  @Test
  void everyPlaceOfTheWorkedCasesIsAnsweredAsItSays() throws Exception {
    for (JsonNode worked : Api.JSON.readTree(Files.readAllBytes(CASES)).get("cases")) {
      String id = worked.get("id").asString();
      Api.Answer answer = sent(worked.get("input").toString());
      assertEquals(200, answer.status(), id);
      for (Map.Entry<String, JsonNode> truth : worked.get("truth").properties()) {
        JsonNode found = answer.body().get(truth.getKey());
        String where = id + " " + truth.getKey();
        assertEquals(said(truth.getValue()), said(found), where);
        JsonNode writes = truth.getValue().path("writes");
        for (Map.Entry<String, JsonNode> write : writes.properties()) {
          assertEquals(
              plain(write.getValue()),
              plain(found.get("writes").get(write.getKey())),
              where + " " + write.getKey());
        }
      }
    }
  }

  private static String said(JsonNode proposal) {
    String why = proposal.get("why").asString().replace("within-resolution", "equal");
    return proposal.get("do").asString() + " " + why;
  }

  private static String plain(JsonNode written) {
    try {
      return new BigDecimal(written.asString()).stripTrailingZeros().toPlainString();
    } catch (NumberFormatException word) {
      return written.asString();
    }
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      textBlock =
          """
          {} | machine: state unit
          {"machine": {}} | machine.unit: state mm or in
          {"machine": {"unit": "mm"}} | machine.identity: state apart or pocket
          {"machine": {"unit": "mm", "identity": "apart"}} | machine.register: state
          {MACHINE} | control.places: state what
          {MACHINE, "control": {"places": {"1": null}}} | has an item that is missing
          {MACHINE, "control": {"places": {"1": {"size": 1}}}} | control.places.1.size: there is no
          {MACHINE, "control": {"places": {"1": {"length": "long"}}}} | is no number
          {MACHINE, "control": {"places": {"1": {"length": 1e300}}}} | write less than 100000000
          {MACHINE, "control": {"places": {"1": {"length": [1]}}}} | write a text, a number, or null
          {MACHINE, "control": {"places": {"1": {"number": 1.5}}}} | write a whole number
          {MACHINE, "control": {"places": {"1": {"tool": ""}}}} | write 1 to 120 characters
          {MACHINE, "nominal": {"A": {"size": 1}}, "control": {"places": {}}} | nominal.A.size: there is
          """)
  void whatIsWrongIsNamedWithItsPlace(String body, String message) {
    Api.Answer answer = sent(body.replace("MACHINE", MACHINE));
    assertEquals(400, answer.status(), answer.toString());
    assertTrue(answer.text("detail").contains(message), answer.text("detail"));
  }

  @Test
  void whatIsNotSetIsNotThereAndNothingIsProposedForNothing() {
    Api.Answer answer =
        sent("{%s, \"control\": {\"places\": {\"1\": {\"tool\": null}}}}".formatted(MACHINE));
    assertEquals(200, answer.status(), answer.toString());
    assertEquals("leave", answer.at("1").get("do").asString());
    assertEquals("equal", answer.at("1").get("why").asString());
  }
}
