package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.net.URI;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

/** Merges of libraries that somebody sends. */
class ExplainMergeTest extends ServerTest {

  private static final String PATH = "/api/v1/explain/merge";
  private static final Path CASES = Path.of("../core/src/test/resources/vectors/merge.json");

  private Api.Answer sent(String body) {
    return as("VISITOR").raw("POST", URI.create(PATH), body);
  }

  @Test
  void everyWorkedCaseIsAnsweredAsItSays() throws Exception {
    JsonNode cases = Api.JSON.readTree(Files.readAllBytes(CASES)).get("cases");
    assertEquals(12, cases.size());
    for (JsonNode worked : cases) {
      Api.Answer answer = sent(worked.get("input").toString());
      assertEquals(200, answer.status(), worked.get("id").asString());
      JsonNode truth = worked.get("truth");
      assertEquals(truth.get("merged"), answer.at("merged"), worked.get("id").asString());
      assertEquals(
          conflicts(truth.get("conflicts")),
          conflicts(answer.at("conflicts")),
          worked.get("id").asString());
    }
  }

  private static Set<JsonNode> conflicts(JsonNode conflicts) {
    return conflicts.valueStream().collect(Collectors.toSet());
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      textBlock =
          """
          {"base": {"A": {}}} | base.A has no class
          {"base": {"A": {"class": "m", "values": {"DC": null}}}} | has an item that is missing
          {"ours": {"A": {"class": "m", "values": {"DC": {}}}}} | ours.A.values.DC has no text
          {"ours": {"A": {"class": "m", "cutting": {"x/y": {}}}}} | ours.A.cutting.x/y has no origin
          {"theirs": {"A": {"class": "m", "parts": [null]}}} | has an item that is missing
          {"theirs": {"A": {"class": "m"}, "a": {"class": "m"}}} | theirs has A and a
          {"theirs": {" ": {"class": "m"}}} | theirs has a tool without a code
          {"base": [1]} | body
          """)
  void whatIsWrongIsNamedWithItsPlace(String body, String said) {
    Api.Answer answer = sent(body);
    assertEquals(400, answer.status(), answer.at("detail").toString());
    assertTrue(answer.at("detail").asString().contains(said), answer.at("detail").asString());
  }

  @Test
  void librariesThatAreLeftOutAreEmpty() {
    Api.Answer answer = sent("{\"theirs\": {\"A\": {\"class\": \"mill\"}}, \"ours\": null}");
    assertEquals("mill", answer.body().at("/merged/A/class").asString());
    assertEquals(0, answer.at("conflicts").size());
  }
}
