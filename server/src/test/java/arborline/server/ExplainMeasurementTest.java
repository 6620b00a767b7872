package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.math.BigDecimal;
import java.net.URI;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Sizes that somebody measured and sends. */
class ExplainMeasurementTest extends ServerTest {

  private static final String PATH = "/api/v1/explain/measurement";
  private static final Path CASES = Path.of("../core/src/test/resources/vectors/measuring.json");

  private Api.Answer sent(String body) {
    return as("VISITOR").raw("POST", URI.create(PATH), body);
  }

  @Test
  void theWorkedCasesAreAnsweredAsTheySay() throws Exception {
    for (JsonNode worked : Api.JSON.readTree(Files.readAllBytes(CASES)).get("cases")) {
      String id = worked.get("id").asString();
      JsonNode truth = worked.get("truth");
      Api.Answer answer = sent(worked.get("input").toString());
      assertEquals(200, answer.status(), id);
      assertEquals(truth.get("accept"), answer.at("accept"), id);
      assertEquals(truth.get("suspected"), answer.at("suspected"), id);
      if (truth.get("proposal").isNull()) {
        assertTrue(answer.at("proposal").isNull(), id);
      } else {
        BigDecimal proposal = answer.at("proposal").decimalValue();
        assertEquals(0, truth.get("proposal").decimalValue().compareTo(proposal), id);
      }
    }
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "/unit | \"ft\" | unit: state mm or in",
        "/decimals | -1 | decimals: state 0 to 6",
        "/decimals | null | decimals: state 0 to 6",
        "/field | \"width\" | field: state length, diameter or radius",
        "/row | null | row: state place, tool",
        "/row/nominal | 0 | row.nominal: write more than zero, or null",
        "/row/nominal | 900000000 | row.nominal: write less than 100000000",
        "/row/since | \"yesterday\" | row.since: state reground, stack-changed or null",
        "/entered | \"long\" | entered: 'long' is no length",
        "/entered | null | entered: write 1 to 120 characters",
        "/neighbours/0/place | null | neighbours.0.place: write 1 to 120 characters",
      })
  void whatIsWrongIsNamedWithItsPlace(String at, String value, String message) throws Exception {
    JsonNode worked = Api.JSON.readTree(Files.readAllBytes(CASES)).get("cases").get(0);
    ObjectNode input = (ObjectNode) worked.get("input").deepCopy();
    int last = at.lastIndexOf('/');
    ((ObjectNode) input.at(at.substring(0, last)))
        .set(at.substring(last + 1), Api.JSON.readTree(value));
    Api.Answer answer = sent(input.toString());
    assertEquals(400, answer.status(), answer.toString());
    assertTrue(answer.text("detail").contains(message), answer.text("detail"));
  }
}
