package arborline.core.loadplan;

import arborline.core.storage.Blocking;
import arborline.core.storage.PlaceLimits;
import arborline.core.storage.PlaceLimits.Exceeded;
import arborline.core.storage.Storage;
import arborline.core.storage.ToolBody;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Reasons of single tools, whatever else has to be in. */
final class SingleObstacles {

  private final LoadProblem problem;
  private final Map<String, LoadPlace> standing;

  SingleObstacles(LoadProblem problem) {
    this.problem = problem;
    this.standing = problem.standing();
  }

  /** Of all tools that have to be in, in their order. */
  List<LoadObstacle> all() {
    List<LoadObstacle> all = new ArrayList<>();
    for (String tool : problem.wanted()) {
      all.addAll(of(tool));
    }
    return all;
  }

  private List<LoadObstacle> of(String tool) {
    LoadTool known = problem.tools().get(tool);
    List<LoadObstacle> obstacles = new ArrayList<>(refused(tool, known.body()));
    if (known.cutOther()) {
      obstacles.add(
          new LoadObstacle(
              LoadReason.DEDICATION,
              tool,
              "%s has cut %s and is wanted for %s"
                  .formatted(
                      tool, known.dedicated().orElseThrow(), known.material().orElseThrow())));
    }
    taken(tool, known.body()).ifPresent(obstacles::add);
    return obstacles;
  }

  /** What every storage refuses; nothing where one takes it. */
  private List<LoadObstacle> refused(String tool, ToolBody body) {
    Map<LoadReason, String> reasons = new LinkedHashMap<>();
    List<Storage> looked = looked(tool);
    for (Storage storage : looked) {
      List<Exceeded> exceeded = PlaceLimits.exceeded(storage, body);
      if (exceeded.isEmpty()) {
        return List.of();
      }
      exceeded.forEach(one -> reasons.putIfAbsent(LoadReason.of(one.limit()), one.message()));
    }
    Set<LoadReason> order = reasons.isEmpty() ? Set.of() : EnumSet.copyOf(reasons.keySet());
    return order.stream()
        .map(reason -> new LoadObstacle(reason, tool, tool + ": " + reasons.get(reason)))
        .toList();
  }

  /** Where it could stand at all: not where all places are other tools' own. */
  private List<Storage> looked(String tool) {
    Optional<LoadPlace> own = problem.own(tool);
    if (own.isPresent()) {
      return List.of(problem.storages().get(own.get().storage()));
    }
    List<Storage> looked = new ArrayList<>();
    for (int storage = 0; storage < problem.storages().size(); storage++) {
      int number = storage;
      long ofOthers =
          problem.fixed().keySet().stream().filter(place -> place.storage() == number).count();
      if (ofOthers < problem.storages().get(storage).definition().places()) {
        looked.add(problem.storages().get(storage));
      }
    }
    return looked;
  }

  /** Its own place holds a tool that stays, or collides with one. */
  private Optional<LoadObstacle> taken(String tool, ToolBody body) {
    Optional<LoadPlace> own = problem.own(tool);
    if (own.isEmpty()) {
      return Optional.empty();
    }
    Storage storage = problem.storages().get(own.get().storage());
    Blocking blocking = new Blocking(storage);
    for (String kept : problem.keep()) {
      LoadPlace there = standing.get(kept);
      if (!kept.equals(tool)
          && there != null
          && there.storage() == own.get().storage()
          && blocking
              .clash(body, own.get().index(), problem.tools().get(kept).body(), there.index())
              .isPresent()) {
        return Optional.of(
            new LoadObstacle(
                LoadReason.FIXED_PLACE_TAKEN,
                tool,
                "%s has to stand in %s %s; %s in %s stays and is in its way"
                    .formatted(
                        tool,
                        storage.definition().form().placeWord(),
                        storage.definition().place(own.get().index()),
                        kept,
                        storage.definition().place(there.index()))));
      }
    }
    return Optional.empty();
  }
}
