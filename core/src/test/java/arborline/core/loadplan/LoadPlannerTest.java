package arborline.core.loadplan;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.storage.Storage;
import arborline.core.storage.StorageDefinition;
import arborline.core.storage.StorageForm;
import arborline.core.storage.StorageLimits;
import arborline.core.storage.ToolBody;
import java.math.BigDecimal;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** Load plans against looking at every state there is. */
class LoadPlannerTest {

  private static final List<StorageForm> FORMS =
      List.of(StorageForm.CHAIN, StorageForm.RACK, StorageForm.CAROUSEL, StorageForm.TURRET);
  private static final int LOADS = 150;

  private static LoadAnswer plan(LoadProblem problem) {
    return new LoadPlanner(Duration.ofSeconds(30)).plan(problem);
  }

  private static BigDecimal of(double size) {
    return BigDecimal.valueOf(size);
  }

  private static Storage storage(StorageForm form, int places, boolean closed, Double massSum) {
    return Storage.of(
        new StorageDefinition(
            "S",
            form,
            places,
            "",
            1,
            of(90),
            closed,
            true,
            null,
            new StorageLimits(
                of(80), of(150), of(300), of(8), massSum == null ? null : of(massSum), null, null),
            BigDecimal.ZERO,
            null));
  }

  private static LoadTool tool(double diameter, double mass, Integer plus, Integer minus) {
    return new LoadTool(
        new ToolBody(of(diameter), of(100), of(mass), of(1), plus, minus, plus != null, null),
        Optional.empty(),
        Optional.empty());
  }

  private static LoadProblem random(Random random) {
    StorageForm form = FORMS.get(random.nextInt(FORMS.size()));
    boolean round = form == StorageForm.CAROUSEL || form == StorageForm.TURRET;
    int places = 3 + random.nextInt(3);
    Storage storage =
        storage(form, places, round || random.nextBoolean(), random.nextInt(3) == 0 ? 7.0 : null);
    Map<String, LoadTool> tools = new LinkedHashMap<>();
    for (String name : List.of("A", "B", "C", "D", "E")) {
      boolean stated = random.nextInt(6) == 0;
      tools.put(
          name,
          tool(
              List.of(40, 80, 95, 120).get(random.nextInt(4)),
              1 + random.nextInt(3),
              stated ? random.nextInt(2) : null,
              stated ? random.nextInt(2) : null));
    }
    LoadProblem empty =
        new LoadProblem(List.of(storage), Map.of(), tools, Map.of(), List.of(), Set.of());
    Map<LoadPlace, String> present = new HashMap<>();
    List<String> names = new ArrayList<>(tools.keySet());
    Collections.shuffle(names, random);
    for (String name : names.subList(0, 3)) {
      LoadPlace place = new LoadPlace(0, random.nextInt(places));
      Map<LoadPlace, String> then = new HashMap<>(present);
      if (then.putIfAbsent(place, name) == null && SmallLoads.allowed(empty, then)) {
        present = then;
      }
    }
    Map<LoadPlace, String> fixed = new HashMap<>();
    for (int i = random.nextInt(4); i > 1; i--) {
      String owner = names.get(random.nextInt(names.size()));
      if (!fixed.containsValue(owner)) {
        fixed.putIfAbsent(new LoadPlace(0, random.nextInt(places)), owner);
      }
    }
    Set<String> keep = new HashSet<>();
    if (random.nextInt(4) == 0) {
      present.values().stream().findFirst().ifPresent(keep::add);
    }
    Collections.shuffle(names, random);
    return new LoadProblem(
        List.of(storage), fixed, tools, present, names.subList(0, 1 + random.nextInt(4)), keep);
  }

  @Test
  void noFewerMovesLeadThereThanLookingAtEverythingFinds() {
    Random random = new Random(11);
    for (int load = 0; load < LOADS; load++) {
      LoadProblem problem = random(random);
      LoadAnswer answer = plan(problem);
      Optional<Integer> fewest = SmallLoads.fewest(problem);
      assertEquals(
          fewest,
          answer.feasible() ? Optional.of(answer.moves().size()) : Optional.empty(),
          problem.toString());
      assertEquals(fewest.isPresent(), answer.obstacles().isEmpty());
      if (answer.feasible()) {
        assertTrue(answer.optimal());
        assertEquals(answer.placement(), Replay.of(problem, answer.moves()));
      }
    }
  }

  @Test
  void theLoadThatReadiesTheSolverIsARealOne() {
    LoadAnswer answer = SolverWarmUp.run();
    assertTrue(answer.feasible());
    assertTrue(answer.moves().size() > 2, "the wide tools come in where others make room");
  }

  /** A tool of 100 mm blocks a place on each side, and two of them share one: 30 fill 60 places. */
  @Test
  void thatWideToolsAreTooManyIsSaidAtOnceAndTheRestIsPlanned() {
    Map<String, LoadTool> tools = new LinkedHashMap<>();
    for (int number = 1; number <= 33; number++) {
      tools.put("W" + number, tool(100, 1, null, null));
    }
    LoadAnswer answer =
        new LoadPlanner(Duration.ofSeconds(30))
            .plan(
                new LoadProblem(
                    List.of(storage(StorageForm.CHAIN, 60, true, null)),
                    Map.of(),
                    tools,
                    Map.of(),
                    List.copyOf(tools.keySet()),
                    Set.of()));
    assertTrue(!answer.feasible());
    assertEquals(
        List.of(LoadReason.NO_ROOM_FOR_OVERSIZE),
        answer.obstacles().stream().map(LoadObstacle::reason).toList());
    assertEquals(3, answer.leftOut().size());
    assertEquals(30, answer.moves().size());
  }

  @Test
  void whatCannotBeInIsLeftOutAndTheRestIsPlanned() {
    Map<String, LoadTool> tools = new LinkedHashMap<>();
    for (String name : List.of("A", "B", "C", "D")) {
      tools.put(name, tool(100, 1, null, null));
    }
    tools.put("LONG", tool(200, 1, null, null));
    LoadAnswer answer =
        plan(
            new LoadProblem(
                List.of(storage(StorageForm.RACK, 5, false, null)),
                Map.of(),
                tools,
                Map.of(),
                List.of("A", "B", "C", "D"),
                Set.of()));
    assertEquals(
        List.of(LoadReason.NO_ROOM_FOR_OVERSIZE),
        answer.obstacles().stream().map(LoadObstacle::reason).toList());
    assertEquals(1, answer.leftOut().size());
    assertEquals(3, answer.placement().size());
  }

  @Test
  void whatIsStoppedOrHasNoTimeIsNotClaimedToBeImpossible() {
    LoadProblem problem =
        new LoadProblem(
            List.of(storage(StorageForm.RACK, 5, false, null)),
            Map.of(),
            Map.of("A", tool(100, 1, null, null), "B", tool(100, 1, null, null)),
            Map.of(),
            List.of("A", "B"),
            Set.of());
    LoadPlanner stopped = new LoadPlanner(Duration.ofSeconds(30));
    stopped.stop();
    assertThrows(LoadUnsettledException.class, () -> stopped.plan(problem));
    assertThrows(LoadUnsettledException.class, () -> stopped.planOrNearest(problem));
    LoadPlanner hurried = new LoadPlanner(Duration.ZERO);
    assertThrows(LoadUnsettledException.class, () -> hurried.plan(problem));
  }

  @Test
  void aToolStandsOnlyWhereItCanWork() {
    LoadTool slim = tool(40, 1, null, null);
    LoadTool driven =
        new LoadTool(
            slim.body(),
            Map.of(),
            Map.of(new LoadPlace(0, 0), "it drives nothing", new LoadPlace(0, 2), "nor this"),
            Optional.empty(),
            Optional.empty());
    Map<LoadPlace, String> none = new HashMap<>();
    for (int index = 0; index < 3; index++) {
      none.put(new LoadPlace(0, index), "nothing there drives it");
    }
    LoadTool unsuited =
        new LoadTool(slim.body(), Map.of(), none, Optional.empty(), Optional.empty());
    List<Storage> turret = List.of(storage(StorageForm.TURRET, 3, true, null));
    LoadAnswer answer =
        plan(
            new LoadProblem(
                turret,
                Map.of(),
                Map.of("MILL", driven, "BAR", slim),
                Map.of(new LoadPlace(0, 1), "BAR"),
                List.of("MILL", "BAR"),
                Set.of()));
    assertEquals("MILL", answer.placement().get(new LoadPlace(0, 1)));
    assertEquals(2, answer.moves().size());
    LoadAnswer refused =
        plan(
            new LoadProblem(
                turret, Map.of(), Map.of("MILL", unsuited), Map.of(), List.of("MILL"), Set.of()));
    assertEquals(
        List.of(new LoadObstacle(LoadReason.UNSUITED, "MILL", "MILL: nothing there drives it")),
        refused.obstacles());
  }

  @Test
  void amongEquallyFewMovesTheShortestAreMade() {
    Map<String, LoadTool> tools = new LinkedHashMap<>();
    tools.put("IN", tool(40, 1, null, null));
    tools.put("THERE", tool(40, 1, null, null));
    LoadAnswer answer =
        plan(
            new LoadProblem(
                List.of(storage(StorageForm.RACK, 8, false, null)),
                Map.of(new LoadPlace(0, 2), "IN"),
                tools,
                Map.of(new LoadPlace(0, 2), "THERE"),
                List.of("IN", "THERE"),
                Set.of()));
    assertEquals(2, answer.moves().size());
    assertTrue(
        answer.placement().entrySet().stream()
            .filter(stands -> stands.getValue().equals("THERE"))
            .allMatch(stands -> Math.abs(stands.getKey().index() - 2) == 1));
  }

  private static LoadTool notIn(int index) {
    LoadTool slim = tool(40, 1, null, null);
    return new LoadTool(
        slim.body(),
        Map.of(),
        Map.of(new LoadPlace(0, index), "it cannot work there"),
        Optional.empty(),
        Optional.empty());
  }

  /** Changing places with each other is the shortest, but one has to lie on the bench for it. */
  @Test
  void toolsDoNotWaitForEachOtherWhereAnotherPlaceIsFree() {
    LoadProblem problem =
        new LoadProblem(
            List.of(storage(StorageForm.RACK, 8, false, null)),
            Map.of(),
            Map.of("A", notIn(3), "B", notIn(4)),
            Map.of(new LoadPlace(0, 3), "A", new LoadPlace(0, 4), "B"),
            List.of("A", "B"),
            Set.of());
    LoadAnswer exchanged =
        LoadPlanner.moving(problem, Map.of(new LoadPlace(0, 4), "A", new LoadPlace(0, 3), "B"), 2);
    LoadAnswer apart =
        LoadPlanner.moving(problem, Map.of(new LoadPlace(0, 4), "A", new LoadPlace(0, 2), "B"), 2);
    assertEquals(3, exchanged.moves().size());
    assertEquals(2, exchanged.orFewer(apart).moves().size());
    assertEquals(2, apart.orFewer(exchanged).moves().size());
    assertEquals(2, plan(problem).moves().size());
  }
}
