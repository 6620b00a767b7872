package arborline.server.explain;

import arborline.core.loadplan.LoadAnswer;
import arborline.core.loadplan.LoadObstacle;
import arborline.core.loadplan.LoadProblem;
import arborline.server.machine.LoadPlanning;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Where a set of tools goes with the fewest moves, or why it cannot. */
@RestController
@RequestMapping("/api/v1/explain")
class LoadPlanController {

  private final LoadPlanning planning;

  LoadPlanController(LoadPlanning planning) {
    this.planning = planning;
  }

  /**
   * What came out.
   *
   * @param fewestMoves null where the tools cannot all be in
   * @param onePlacement by place, {@code storage/number}; null where they cannot
   * @param why codes of the reasons where they cannot
   * @param sentences the same in words
   * @param optimal true where fewer moves are proved impossible
   * @param leftOut without these the rest could be in
   */
  record LoadPlanAnswer(
      boolean feasible,
      @Nullable Integer fewestMoves,
      @Nullable Map<String, String> onePlacement,
      List<String> why,
      List<String> sentences,
      boolean optimal,
      List<String> leftOut) {}

  @PostMapping("/load-plan")
  LoadPlanAnswer plan(@RequestBody LoadInput input) {
    LoadInputReader reader = new LoadInputReader(input);
    LoadProblem problem = reader.problem();
    LoadAnswer answer = planning.explain(problem);
    Map<String, String> placement = new TreeMap<>();
    answer.placement().forEach((place, tool) -> placement.put(reader.name(place), tool));
    return new LoadPlanAnswer(
        answer.feasible(),
        answer.feasible() ? answer.moves().size() : null,
        answer.feasible() ? placement : null,
        answer.obstacles().stream()
            .map(obstacle -> obstacle.reason().code())
            .distinct()
            .sorted()
            .toList(),
        answer.obstacles().stream().map(LoadObstacle::message).toList(),
        answer.optimal(),
        answer.leftOut());
  }
}
