package arborline.core.loadplan;

import arborline.core.storage.Blocking;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/** Puts moves into an order in which each can be made. */
final class MoveOrder {

  private final LoadProblem problem;
  private final Map<String, LoadPlace> now;
  private final List<LoadMove> moves = new ArrayList<>();

  private MoveOrder(LoadProblem problem) {
    this.problem = problem;
    this.now = new HashMap<>(problem.standing());
  }

  /**
   * The moves from what stands now to a placement. Where tools wait for each other, one of them
   * lies on the bench meanwhile besides those that are named, which is a move more.
   *
   * @param bench tools that lie on the bench meanwhile, so that no others have to
   */
  static List<LoadMove> of(
      LoadProblem problem, Map<LoadPlace, String> placement, List<String> bench) {
    Map<String, LoadPlace> aims = new TreeMap<>();
    placement.forEach((place, tool) -> aims.put(tool, place));
    List<String> laid = new ArrayList<>(bench);
    while (true) {
      MoveOrder order = new MoveOrder(problem);
      order.out(aims, laid);
      Optional<String> stuck = order.carry(aims, laid);
      if (stuck.isEmpty()) {
        return order.moves;
      }
      laid.add(stuck.get());
    }
  }

  private void out(Map<String, LoadPlace> aims, List<String> bench) {
    problem
        .standing()
        .forEach((tool, place) -> {
          boolean laid = bench.contains(tool);
          if (laid || !aims.containsKey(tool)) {
            moves.add(new LoadMove(tool, Optional.of(place), Optional.empty(), laid));
            now.remove(tool);
          }
        });
  }

  /** Makes what can be made; answers a tool that has to make way for others, if there is one. */
  private Optional<String> carry(Map<String, LoadPlace> aims, List<String> bench) {
    Map<String, LoadPlace> waiting = new TreeMap<>(aims);
    waiting.entrySet().removeIf(aim -> aim.getValue().equals(now.get(aim.getKey())));
    boolean moved = true;
    while (moved && !waiting.isEmpty()) {
      moved = false;
      for (String tool : List.copyOf(waiting.keySet())) {
        LoadPlace to = waiting.get(tool);
        if (free(tool, to)) {
          moves.add(
              new LoadMove(
                  tool, Optional.ofNullable(now.get(tool)), Optional.of(to), bench.contains(tool)));
          now.put(tool, to);
          waiting.remove(tool);
          moved = true;
        }
      }
    }
    if (waiting.isEmpty()) {
      return Optional.empty();
    }
    return Optional.of(
        waiting.keySet().stream()
            .filter(now::containsKey)
            .findFirst()
            .orElseThrow(
                () -> new IllegalStateException("tools wait for what stays: " + waiting.keySet())));
  }

  private boolean free(String tool, LoadPlace to) {
    Blocking blocking = new Blocking(problem.storages().get(to.storage()));
    return now.entrySet().stream()
        .filter(other -> !other.getKey().equals(tool))
        .filter(other -> other.getValue().storage() == to.storage())
        .noneMatch(other ->
            blocking
                .clash(
                    problem.tools().get(tool).in(to.storage()),
                    to.index(),
                    problem.tools().get(other.getKey()).in(to.storage()),
                    other.getValue().index())
                .isPresent());
  }
}
