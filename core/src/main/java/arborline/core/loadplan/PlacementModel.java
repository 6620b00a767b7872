package arborline.core.loadplan;

import arborline.core.storage.Blocking;
import arborline.core.storage.PlaceLimits;
import arborline.core.storage.Storage;
import arborline.core.storage.ToolBody;
import com.google.ortools.sat.CpModel;
import com.google.ortools.sat.LinearExpr;
import com.google.ortools.sat.Literal;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;

/**
 * Which tool stands where at the end, as a model of the solver: every place holds one tool at most,
 * every tool stands in one at most, and limits, fixed places and blocking hold.
 */
final class PlacementModel {

  /** Rules that can be left aside to see which of them is in the way. */
  enum Rule {
    BLOCKING,
    MASS_SUM
  }

  /** A tool's size as far as blocking goes, and the places of all tools of that size. */
  private record Size(ToolBody body, List<String> tools) {}

  final CpModel model = new CpModel();
  private final LoadProblem problem;
  private final Map<String, Map<LoadPlace, Literal>> stands = new LinkedHashMap<>();

  /**
   * The model.
   *
   * @param tools those that may stand somewhere
   */
  PlacementModel(LoadProblem problem, Iterable<String> tools, Set<Rule> rules) {
    this.problem = problem;
    Map<String, LoadPlace> standing = problem.standing();
    for (String tool : tools) {
      Map<LoadPlace, Literal> places = new TreeMap<>();
      for (LoadPlace place : allowed(tool, standing)) {
        places.put(
            place, model.newBoolVar("%s at %d/%d".formatted(tool, place.storage(), place.index())));
      }
      stands.put(tool, places);
      model.addAtMostOne(places.values());
    }
    onePerPlace();
    for (int storage = 0; storage < problem.storages().size(); storage++) {
      if (rules.contains(Rule.BLOCKING)) {
        blocking(storage);
      }
      if (rules.contains(Rule.MASS_SUM)) {
        massSum(storage);
      }
    }
  }

  /** Where a tool stands, by place; only the places that take it. */
  Map<LoadPlace, Literal> places(String tool) {
    return stands.get(tool);
  }

  /** A tool has to be in. */
  void need(String tool) {
    model.addExactlyOne(stands.get(tool).values());
  }

  private List<LoadPlace> allowed(String tool, Map<String, LoadPlace> standing) {
    LoadTool known = problem.tools().get(tool);
    boolean kept = problem.keep().contains(tool);
    List<LoadPlace> allowed = new ArrayList<>();
    for (int number = 0; number < problem.storages().size(); number++) {
      Storage storage = problem.storages().get(number);
      if (!kept && !PlaceLimits.exceeded(storage, known.in(number)).isEmpty()) {
        continue;
      }
      for (int index = 0; index < storage.definition().places(); index++) {
        LoadPlace place = new LoadPlace(number, index);
        if (kept
            ? place.equals(standing.get(tool)) && mayStand(tool, place)
            : !known.closed().containsKey(place) && mayStand(tool, place)) {
          allowed.add(place);
        }
      }
    }
    return allowed;
  }

  private boolean mayStand(String tool, LoadPlace place) {
    String owner = problem.fixed().get(place);
    return owner == null ? problem.own(tool).isEmpty() : owner.equals(tool);
  }

  private void onePerPlace() {
    Map<LoadPlace, List<Literal>> holders = new HashMap<>();
    stands
        .values()
        .forEach(places ->
            places.forEach((place, stands) ->
                holders.computeIfAbsent(place, key -> new ArrayList<>()).add(stands)));
    holders.values().forEach(model::addAtMostOne);
  }

  private void massSum(int storage) {
    BigDecimal most = problem.storages().get(storage).definition().limits().massSum();
    if (most == null) {
      return;
    }
    List<Literal> literals = new ArrayList<>();
    List<Long> weights = new ArrayList<>();
    stands.forEach((tool, places) ->
        places.forEach((place, stands) -> {
          if (place.storage() == storage) {
            literals.add(stands);
            weights.add(Milligrams.up(problem.tools().get(tool).in(storage).mass()));
          }
        }));
    model.addLessOrEqual(
        LinearExpr.weightedSum(
            literals.toArray(Literal[]::new), weights.stream().mapToLong(w -> w).toArray()),
        Milligrams.down(most));
  }

  /**
   * For two places within reach: of the tools of a size in one and those that clash with them in
   * the other there is one at most. Sizes that clash with the same others share one rule.
   */
  private void blocking(int storage) {
    Storage known = problem.storages().get(storage);
    Blocking blocking = new Blocking(known);
    List<Size> sizes = sizes(storage);
    int count = known.definition().places();
    int reach = reach(blocking, sizes);
    for (int one = 0; one < count; one++) {
      for (int steps = 1; steps <= reach; steps++) {
        int other = known.spacing().step(one, steps).orElse(one);
        if (other != one && (other > one || known.spacing().steps(one, other) == steps)) {
          pair(blocking, sizes, new LoadPlace(storage, one), new LoadPlace(storage, other));
        }
      }
    }
  }

  private void pair(Blocking blocking, List<Size> sizes, LoadPlace one, LoadPlace other) {
    Map<List<Integer>, List<Size>> alike = new HashMap<>();
    for (Size size : sizes) {
      List<Integer> against = new ArrayList<>();
      for (int index = 0; index < sizes.size(); index++) {
        if (blocking
            .clash(size.body(), one.index(), sizes.get(index).body(), other.index())
            .isPresent()) {
          against.add(index);
        }
      }
      if (!against.isEmpty()) {
        alike.computeIfAbsent(against, key -> new ArrayList<>()).add(size);
      }
    }
    alike.forEach((against, same) -> {
      List<Literal> literals = new ArrayList<>();
      same.forEach(size -> literals.addAll(at(size, one)));
      against.forEach(index -> literals.addAll(at(sizes.get(index), other)));
      model.addAtMostOne(literals);
    });
  }

  private List<Literal> at(Size size, LoadPlace place) {
    List<Literal> at = new ArrayList<>();
    for (String tool : size.tools()) {
      Literal stands = this.stands.get(tool).get(place);
      if (stands != null) {
        at.add(stands);
      }
    }
    return at;
  }

  private List<Size> sizes(int storage) {
    Map<ToolBody, List<String>> sizes = new LinkedHashMap<>();
    stands.forEach((tool, places) -> {
      if (places.keySet().stream().anyMatch(place -> place.storage() == storage)) {
        sizes
            .computeIfAbsent(size(problem.tools().get(tool).in(storage)), key -> new ArrayList<>())
            .add(tool);
      }
    });
    return sizes.entrySet().stream()
        .map(entry -> new Size(entry.getKey(), entry.getValue()))
        .toList();
  }

  private static ToolBody size(ToolBody body) {
    return new ToolBody(
        body.diameter().stripTrailingZeros(),
        BigDecimal.ZERO,
        BigDecimal.ZERO,
        BigDecimal.ZERO,
        body.overlapPlus(),
        body.overlapMinus(),
        body.oriented(),
        null);
  }

  private static int reach(Blocking blocking, List<Size> sizes) {
    BigDecimal widest =
        sizes.stream()
            .map(size -> size.body().diameter())
            .max(BigDecimal::compareTo)
            .orElse(BigDecimal.ZERO);
    int overlap =
        sizes.stream()
            .mapToInt(size ->
                Math.max(number(size.body().overlapPlus()), number(size.body().overlapMinus())))
            .max()
            .orElse(0);
    return blocking.reach(widest, overlap);
  }

  private static int number(Integer places) {
    return places == null ? 0 : places;
  }
}
