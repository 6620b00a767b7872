package arborline.bench;

import arborline.core.loadplan.LoadAnswer;
import arborline.core.loadplan.LoadPlace;
import arborline.core.loadplan.LoadPlanner;
import arborline.core.loadplan.LoadProblem;
import arborline.core.loadplan.LoadTool;
import arborline.core.loadplan.SolverWarmUp;
import arborline.core.storage.Blocking;
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
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;

/** Loads of a chain of 60 pockets, planned within two seconds: how many are proved the fewest. */
final class LoadFigure {

  private static final int PLACES = 60;
  private static final int LOADS = 20;
  private static final Duration TIME = Duration.ofMillis(1600);

  private final Random random = new Random(60);

  private static BigDecimal of(double size) {
    return BigDecimal.valueOf(size);
  }

  private static Storage chain() {
    return Storage.of(
        new StorageDefinition(
            "C",
            StorageForm.CHAIN,
            PLACES,
            "",
            1,
            of(90),
            true,
            true,
            null,
            new StorageLimits(of(80), of(150), of(450), of(8), of(240), of(25), null),
            null,
            null));
  }

  private LoadTool tool() {
    boolean wide = random.nextInt(6) == 0;
    return new LoadTool(
        new ToolBody(
            of(wide ? 90 + random.nextInt(60) : 10 + random.nextInt(70)),
            of(100),
            of(1 + random.nextInt(40) / 10.0),
            of(1),
            null,
            null,
            false,
            null),
        Optional.empty(),
        Optional.empty());
  }

  /** Some 45 tools stand, a dozen come in, a few have places of their own. */
  private LoadProblem problem() {
    Storage chain = chain();
    Blocking blocking = new Blocking(chain);
    Map<String, LoadTool> tools = new LinkedHashMap<>();
    Map<LoadPlace, String> present = new HashMap<>();
    List<Integer> places = new ArrayList<>();
    for (int place = 0; place < PLACES; place++) {
      places.add(place);
    }
    Collections.shuffle(places, random);
    for (int place : places.subList(0, 52)) {
      LoadTool tool = tool();
      boolean free =
          present.entrySet().stream()
              .noneMatch(other ->
                  blocking
                      .clash(
                          tool.body(),
                          place,
                          tools.get(other.getValue()).body(),
                          other.getKey().index())
                      .isPresent());
      if (free) {
        String name = "S" + tools.size();
        tools.put(name, tool);
        present.put(new LoadPlace(0, place), name);
      }
    }
    List<String> wanted = new ArrayList<>(tools.keySet());
    Collections.shuffle(wanted, random);
    wanted = new ArrayList<>(wanted.subList(0, Math.min(22, wanted.size())));
    Map<LoadPlace, String> fixed = new HashMap<>();
    for (int i = 0; i < 4; i++) {
      fixed.put(new LoadPlace(0, random.nextInt(PLACES)), wanted.get(i));
    }
    for (int i = 0; i < 12; i++) {
      tools.put("N" + i, tool());
      wanted.add("N" + i);
    }
    return new LoadProblem(List.of(chain), fixed, tools, present, wanted, Set.of());
  }

  void print() {
    int proved = 0;
    int impossible = 0;
    int gap = 0;
    double slowest = 0;
    double all = 0;
    SolverWarmUp.run();
    for (int load = 0; load < LOADS; load++) {
      LoadProblem problem = problem();
      long begin = System.nanoTime();
      LoadAnswer answer = new LoadPlanner(TIME).plan(problem);
      double took = (System.nanoTime() - begin) / 1e9;
      slowest = Math.max(slowest, took);
      all += took;
      if (!answer.feasible()) {
        impossible++;
      } else if (answer.optimal()) {
        proved++;
      } else {
        gap = Math.max(gap, answer.moves().size() - answer.leastMoves());
      }
    }
    System.out.println(
        "loads of 60 places: %d of %d proved the fewest, %d impossible, largest gap %d moves, mean %.2f s, slowest %.2f s (goal 2)"
            .formatted(proved, LOADS, impossible, gap, all / LOADS, slowest)
            .toLowerCase(Locale.ROOT));
  }
}
