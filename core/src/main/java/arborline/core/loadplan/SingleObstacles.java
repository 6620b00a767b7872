package arborline.core.loadplan;

import arborline.core.storage.Blocking;
import arborline.core.storage.PlaceLimits;
import arborline.core.storage.PlaceLimits.Exceeded;
import arborline.core.storage.Storage;
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
    List<LoadObstacle> obstacles = new ArrayList<>(refused(tool, known));
    if (known.cutOther()) {
      obstacles.add(
          new LoadObstacle(
              LoadReason.DEDICATION,
              tool,
              "%s has cut %s and is wanted for %s"
                  .formatted(
                      tool, known.dedicated().orElseThrow(), known.material().orElseThrow())));
    }
    taken(tool, known).ifPresent(obstacles::add);
    return obstacles;
  }

  /** What every storage refuses; nothing where one takes it. */
  private List<LoadObstacle> refused(String tool, LoadTool known) {
    Map<LoadReason, String> reasons = new LinkedHashMap<>();
    for (int number : looked(tool)) {
      Storage storage = problem.storages().get(number);
      List<Exceeded> exceeded = PlaceLimits.exceeded(storage, known.in(number));
      Optional<String> closed = closed(known, number);
      if (exceeded.isEmpty() && closed.isEmpty()) {
        return List.of();
      }
      exceeded.forEach(one -> reasons.putIfAbsent(LoadReason.of(one.limit()), one.message()));
      closed.ifPresent(why -> reasons.putIfAbsent(LoadReason.UNSUITED, why));
    }
    Set<LoadReason> order = reasons.isEmpty() ? Set.of() : EnumSet.copyOf(reasons.keySet());
    return order.stream()
        .map(reason -> new LoadObstacle(reason, tool, tool + ": " + reasons.get(reason)))
        .toList();
  }

  /** Why it can work in no place of a storage; empty where it can in one. */
  private Optional<String> closed(LoadTool known, int storage) {
    int places = problem.storages().get(storage).definition().places();
    Optional<String> why = Optional.empty();
    for (int index = 0; index < places; index++) {
      why = Optional.ofNullable(known.closed().get(new LoadPlace(storage, index)));
      if (why.isEmpty()) {
        return why;
      }
    }
    return why;
  }

  /** Where it could stand at all: not where all places are other tools' own. */
  private List<Integer> looked(String tool) {
    Optional<LoadPlace> own = problem.own(tool);
    if (own.isPresent()) {
      return List.of(own.get().storage());
    }
    List<Integer> looked = new ArrayList<>();
    for (int storage = 0; storage < problem.storages().size(); storage++) {
      int number = storage;
      long ofOthers =
          problem.fixed().keySet().stream().filter(place -> place.storage() == number).count();
      if (ofOthers < problem.storages().get(storage).definition().places()) {
        looked.add(storage);
      }
    }
    return looked;
  }

  /** Its own place holds a tool that stays, or collides with one. */
  private Optional<LoadObstacle> taken(String tool, LoadTool known) {
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
              .clash(
                  known.in(there.storage()),
                  own.get().index(),
                  problem.tools().get(kept).in(there.storage()),
                  there.index())
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
