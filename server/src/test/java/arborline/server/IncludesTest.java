package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Libraries that hold what stands in others by reference. */
class IncludesTest extends ServerTest {

  private long drills;
  private long all;
  private String code;

  @BeforeEach
  void twoLibraries() {
    drills = library("Included " + System.nanoTime());
    all = library("Including " + System.nanoTime());
    code = "IN-" + drills;
    add(drills, code);
  }

  private long add(long library, String toolCode) {
    return lead.post("/api/v1/libraries/%d/tools".formatted(library), Draft.mill(toolCode, "10"))
        .number("toolId");
  }

  private Api.Answer include(long into, long from) {
    return lead.post("/api/v1/libraries/%d/includes".formatted(into), Api.body("from", from));
  }

  private Set<String> codes(long library) {
    Set<String> codes = new TreeSet<>();
    lead.get("/api/v1/libraries/%d/tools".formatted(library))
        .at("items")
        .forEach(row -> codes.add(row.get("code").asString()));
    return codes;
  }

  @Test
  void whatComesInAndGoesOutThereDoesSoHere() {
    add(all, code + "-OWN");
    Api.Answer included = include(all, drills);
    assertEquals(201, included.status(), included.body().toString());
    assertEquals(1, included.at("include").get("tools").asInt());
    assertEquals(Set.of(code, code + "-OWN"), codes(all));
    long late = add(drills, code + "-LATE");
    Api.until(() -> codes(all).contains(code + "-LATE"));
    lead.send("DELETE", "/api/v1/libraries/%d/tools/%d".formatted(drills, late), null);
    Api.until(() -> !codes(all).contains(code + "-LATE"));
    assertEquals(Set.of(code, code + "-OWN"), codes(all));
  }

  @Test
  void itDoesNotLeaveByItselfAndEndingItTakesItOutUntilThatIsTakenBack() {
    long include = include(all, drills).at("include").get("id").asLong();
    long tool =
        lead.get("/api/v1/libraries/%d/tools".formatted(all))
            .at("items")
            .get(0)
            .get("toolId")
            .asLong();
    Api.Answer refused =
        lead.send("DELETE", "/api/v1/libraries/%d/tools/%d".formatted(all, tool), null);
    assertEquals(409, refused.status());
    assertTrue(refused.text("detail").contains("comes with the included library"));
    assertEquals(
        409,
        lead.post("/api/v1/libraries/%d/tools/out".formatted(all), Api.body("tools", List.of(tool)))
            .status());
    Api.Answer ended =
        lead.send("DELETE", "/api/v1/libraries/%d/includes/%d".formatted(all, include), null);
    assertEquals(200, ended.status(), ended.body().toString());
    assertEquals(Set.of(), codes(all));
    assertEquals(
        204, lead.post("/api/v1/trail/%d/undo".formatted(ended.number("undo")), null).status());
    assertEquals(Set.of(code), codes(all));
    assertEquals(1, lead.get("/api/v1/libraries/%d/includes".formatted(all)).at("items").size());
    lead.send("DELETE", "/api/v1/libraries/%d/tools/%d".formatted(drills, tool), null);
    Api.until(() -> codes(all).isEmpty());
  }

  @Test
  void ofASectionOnlyWhatStandsThere() {
    long section =
        lead.post("/api/v1/libraries/%d/sections".formatted(drills), Api.body("name", "Everyday"))
            .number("id");
    Api.Answer included =
        lead.post(
            "/api/v1/libraries/%d/includes".formatted(all),
            Api.body("from", drills, "section", section));
    assertEquals(201, included.status(), included.body().toString());
    assertEquals(Set.of(), codes(all));
    long tool =
        lead.get("/api/v1/libraries/%d/tools".formatted(drills))
            .at("items")
            .get(0)
            .get("toolId")
            .asLong();
    lead.post(
        "/api/v1/libraries/%d/sections/%d/tools".formatted(drills, section),
        Api.body("tools", List.of(tool)));
    Api.until(() -> codes(all).equals(Set.of(code)));
  }

  @Test
  void aCircleIsRefusedAlsoOverOthersAndOfManyAtOnce() throws Exception {
    long third = library("Third " + System.nanoTime());
    assertEquals(201, include(all, drills).status());
    assertEquals(201, include(third, all).status());
    Api.until(() -> codes(third).contains(code));
    assertEquals(409, include(drills, drills).status());
    assertEquals(409, include(drills, all).status());
    Api.Answer over = include(drills, third);
    assertEquals(409, over.status());
    assertTrue(over.text("detail").contains("circle"));
    assertEquals(409, include(all, drills).status());
    long one = library("One " + System.nanoTime());
    long other = library("Other " + System.nanoTime());
    List<Callable<Integer>> both = new ArrayList<>();
    for (int i = 0; i < 10; i++) {
      both.add(() -> include(one, other).status());
      both.add(() -> include(other, one).status());
    }
    try (ExecutorService many = Executors.newFixedThreadPool(20)) {
      List<Integer> answers = new ArrayList<>();
      for (var answer : many.invokeAll(both)) {
        answers.add(answer.get());
      }
      assertEquals(1, answers.stream().filter(status -> status == 201).count());
      assertFalse(answers.stream().anyMatch(status -> status >= 500));
    }
  }

  @Test
  void anIncludedLibraryIsNotDeletedAndWhatCannotStandHereIsSaid() {
    lead.send("PATCH", "/api/v1/libraries/" + all, Api.body("processes", List.of("turning")));
    Api.Answer included = include(all, drills);
    assertEquals(1, included.at("include").get("refused").asInt());
    assertFalse(included.at("include").get("refusal").asString().isEmpty());
    Api.Answer refused = lead.send("DELETE", "/api/v1/libraries/" + drills, null);
    assertEquals(409, refused.status());
    assertTrue(refused.text("detail").contains("which includes it"));
    assertEquals(
        400, lead.post("/api/v1/libraries/%d/includes".formatted(all), Api.body()).status());
    assertEquals(404, include(all, 987654321).status());
  }
}
