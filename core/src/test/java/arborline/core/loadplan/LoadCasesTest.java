package arborline.core.loadplan;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.io.InputStream;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.TestFactory;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Worked cases of load plans: the fewest moves, or the reasons why not. */
class LoadCasesTest {

  @TestFactory
  Stream<DynamicTest> everyCaseIsPlannedAsWorkedOut() throws IOException {
    try (InputStream file = getClass().getResourceAsStream("/vectors/load-plan.json")) {
      JsonNode cases = JsonMapper.builder().build().readTree(file).get("cases");
      List<DynamicTest> tests = new ArrayList<>();
      for (JsonNode worked : cases) {
        tests.add(
            DynamicTest.dynamicTest(
                worked.get("id").asString() + " " + worked.get("title").asString(),
                () -> check(LoadFile.read(worked.get("input")), worked.get("truth"))));
      }
      return tests.stream();
    }
  }

  private static void check(LoadProblem problem, JsonNode truth) {
    LoadAnswer answer = new LoadPlanner(Duration.ofSeconds(30)).plan(problem);
    Set<String> why = new TreeSet<>();
    truth.get("why").forEach(reason -> why.add(reason.asString()));
    Set<String> found = new TreeSet<>();
    answer.obstacles().forEach(obstacle -> found.add(obstacle.reason().code()));
    assertEquals(why, found);
    assertEquals(truth.get("feasible").asBoolean(), answer.feasible());
    if (answer.feasible()) {
      assertEquals(truth.get("fewestMoves").asInt(), answer.moves().size());
      assertTrue(answer.optimal());
      assertEquals(answer.placement(), Replay.of(problem, answer.moves()));
    }
  }
}
