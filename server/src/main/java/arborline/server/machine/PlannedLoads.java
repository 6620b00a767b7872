package arborline.server.machine;

import arborline.core.loadplan.LoadAnswer;
import arborline.core.loadplan.LoadMove;
import arborline.core.loadplan.LoadObstacle;
import arborline.core.loadplan.LoadReason;
import arborline.core.machine.Machine;
import arborline.core.table.PlaceOrder;
import arborline.core.tool.outline.Outline;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** Plans the load of a machine for a set of tools. */
@Service
class PlannedLoads {

  private final LoadSituations situations;
  private final LoadPlanning planning;
  private final LoadOutlines outlines;

  PlannedLoads(LoadSituations situations, LoadPlanning planning, LoadOutlines outlines) {
    this.outlines = outlines;
    this.situations = situations;
    this.planning = planning;
  }

  /**
   * One tool carried once.
   *
   * @param from place; null from outside or off the bench
   * @param to place; null where it goes out or onto the bench
   * @param words the move as somebody would say it
   */
  record MoveView(
      String code, @Nullable String from, @Nullable String to, boolean bench, String words) {}

  /**
   * Why tools cannot be in.
   *
   * @param code of a tool; null where it is the set of them
   */
  record ObstacleView(String reason, @Nullable String code, String message) {}

  /**
   * A tool in a place.
   *
   * @param outline in its holder; of the bare cutter where no stack is kept
   */
  record LoadedPlace(
      String place, long toolId, long libraryId, String code, @Nullable Outline outline) {

    LoadedPlace drawn(@Nullable Outline as) {
      return new LoadedPlace(place, toolId, libraryId, code, as);
    }
  }

  /**
   * A planned load.
   *
   * @param leastMoves fewer are proved impossible
   * @param optimal true where fewer moves are proved impossible
   * @param settled false where there was no time to find out whether all can be in
   * @param obstacles why not all can be in
   * @param leftOut without these the rest can be in, as it is shown
   * @param stamp of the plan from which it starts; whoever takes it gives it back
   */
  record PlannedLoad(
      boolean feasible,
      List<MoveView> moves,
      int leastMoves,
      boolean optimal,
      boolean settled,
      List<LoadedPlace> placement,
      List<ObstacleView> obstacles,
      List<String> leftOut,
      String stamp) {}

  /**
   * What somebody lets be done for a load.
   *
   * @param longer true where he would rather wait for fewer moves
   * @param allow true where the lead lets tools in that are not released
   */
  record Search(boolean longer, boolean allow) {}

  /**
   * Plans a load; not in a transaction, since it takes a while.
   *
   * @param wanted tools that have to be in
   * @param keep tools that stay where they are planned
   * @param how what somebody lets be done for it
   */
  PlannedLoad plan(
      String machineId, Map<Long, LoadSituations.Wanted> wanted, Set<Long> keep, Search how) {
    return planned(situations.of(machineId, wanted, keep, how.allow()), how.longer());
  }

  /** Plans the moves that have the tools of one storage stand in an order; as {@link #plan}. */
  PlannedLoad sorted(String machineId, String storage, LoadSort by) {
    return planned(situations.sorted(machineId, storage, by), false);
  }

  private PlannedLoad planned(LoadSituation situation, boolean longer) {
    LoadAnswer answer = planning.plan(situation.problem(), longer);
    List<ObstacleView> obstacles = new ArrayList<>();
    List<String> leftOut = new ArrayList<>(answer.leftOut());
    situation
        .refused()
        .forEach(tool -> {
          obstacles.add(new ObstacleView("standing", tool.code(), tool.why()));
          leftOut.add(tool.code());
        });
    answer.obstacles().forEach(obstacle -> obstacles.add(view(obstacle)));
    Map<String, LoadedPlace> placement = new TreeMap<>(PlaceOrder.BY_NUMBER);
    answer
        .placement()
        .forEach((place, code) -> {
          String name = situation.place(place);
          placement.put(
              name,
              new LoadedPlace(
                  name, situation.ids().get(code), situation.libraries().get(code), code, null));
        });
    Map<String, Outline> drawn = outlines.of(situation.machine(), placement.values());
    return new PlannedLoad(
        answer.feasible() && situation.refused().isEmpty(),
        answer.moves().stream().map(move -> view(situation, move)).toList(),
        answer.leastMoves(),
        settled(answer) && answer.moves().size() == answer.leastMoves(),
        settled(answer),
        placement.values().stream().map(place -> place.drawn(drawn.get(place.place()))).toList(),
        obstacles,
        leftOut,
        situation.stamp());
  }

  private static boolean settled(LoadAnswer answer) {
    return answer.obstacles().stream()
        .noneMatch(obstacle -> obstacle.reason() == LoadReason.NOT_SETTLED);
  }

  private static ObstacleView view(LoadObstacle obstacle) {
    return new ObstacleView(
        obstacle.reason().code(),
        obstacle.tool().isEmpty() ? null : obstacle.tool(),
        obstacle.message());
  }

  private static MoveView view(LoadSituation situation, LoadMove move) {
    Machine machine = situation.machine();
    String from = move.from().map(situation::place).orElse(null);
    String to = move.to().map(situation::place).orElse(null);
    String out = move.bench() ? "onto the bench" : "out of the machine";
    String in = move.bench() ? "from the bench" : "from outside";
    String words =
        "%s, %s"
            .formatted(
                from == null ? in : "from " + machine.words(from),
                to == null ? out : "to " + machine.words(to));
    return new MoveView(move.tool(), from, to, move.bench(), words);
  }
}
