package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.function.IntFunction;
import java.util.stream.IntStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Twenty people load one machine at once. */
class LoadedAtOnceTest extends ServerTest {

  private static final int PEOPLE = 20;

  private String machine;
  private final List<Long> libraries = new ArrayList<>();
  private final List<Long> mills = new ArrayList<>();

  /** Each from a library of its own, in which it is number 1. */
  @BeforeEach
  void aMachineAndTwentyToolsOfOneNumber() {
    String unique = Long.toString(System.nanoTime(), 36).toUpperCase();
    machine = "A" + unique.substring(unique.length() - 8);
    ObjectNode definition = (ObjectNode) lead.get("/api/v1/machines/M1").at("machine").deepCopy();
    definition.put("id", machine).put("name", "At once " + machine);
    assertEquals(201, lead.post("/api/v1/machines", Api.body("machine", definition)).status());
    for (int i = 0; i < PEOPLE; i++) {
      long library = library("At once %s %d".formatted(machine, i));
      libraries.add(library);
      mills.add(
          lead.post(
                  "/api/v1/libraries/%d/tools".formatted(library),
                  Draft.mill("AO-" + library, "10"))
              .number("toolId"));
    }
  }

  private List<Api.Answer> atOnce(IntFunction<Api.Answer> deed) throws InterruptedException {
    List<Callable<Api.Answer>> deeds =
        IntStream.range(0, PEOPLE)
            .mapToObj(person -> (Callable<Api.Answer>) () -> deed.apply(person))
            .toList();
    try (ExecutorService people = Executors.newFixedThreadPool(PEOPLE)) {
      return people.invokeAll(deeds).stream().map(Future::resultNow).toList();
    }
  }

  private Api.Answer put(int place, int tool) {
    return lead.send(
        "PUT",
        "/api/v1/machines/%s/plan/%d".formatted(machine, place),
        Api.body("toolId", mills.get(tool), "libraryId", libraries.get(tool)));
  }

  private List<JsonNode> plan() {
    return lead.get("/api/v1/machines/" + machine).at("plan").valueStream().toList();
  }

  @Test
  void toolsOfOneNumberThatComeInAtOnceHaveNumbersOfTheirOwn() throws InterruptedException {
    List<Api.Answer> answers = atOnce(person -> put(person + 1, person));
    answers.forEach(answer -> assertEquals(200, answer.status(), answer.toString()));
    assertEquals(
        PEOPLE, plan().stream().map(place -> place.get("number").asString()).distinct().count());
  }

  @Test
  void ofTwentyToolsForOnePlaceOneStandsThere() throws InterruptedException {
    List<Api.Answer> answers = atOnce(person -> put(7, person));
    answers.forEach(answer -> assertEquals(200, answer.status(), answer.toString()));
    assertEquals(1, plan().size());
  }

  /** The first who takes it out finds it; a job that was made before that keeps it. */
  @Test
  void aJobThatIsMadeWhileItsToolIsTakenOutIsKeptOrComesLate() throws InterruptedException {
    put(3, 0);
    List<Api.Answer> answers =
        atOnce(person ->
            person == 0
                ? lead.post(
                    "/api/v1/jobs",
                    Api.body(
                        "job",
                        Api.body("name", "At once " + machine, "machine", machine),
                        "ofLoad",
                        true))
                : lead.send("DELETE", "/api/v1/machines/%s/plan/3".formatted(machine), null));
    assertEquals(201, answers.getFirst().status());
    List<Integer> taken = answers.stream().skip(1).map(Api.Answer::status).toList();
    boolean out = taken.contains(200);
    assertEquals(out ? 0 : 1, plan().size(), taken.toString());
    assertTrue(taken.stream().allMatch(List.of(200, 404, 409)::contains), taken.toString());
    assertTrue(taken.stream().filter(status -> status == 200).count() <= 1, taken.toString());
  }
}
