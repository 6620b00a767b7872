package arborline.core.loadplan;

import com.google.ortools.sat.LinearExpr;
import com.google.ortools.sat.LinearExprBuilder;
import com.google.ortools.sat.Literal;
import java.util.Map;

/**
 * What a placement changes of what stands now: how many tools have to be moved at least, and how
 * far. Whether they stand in each other's way is not looked at.
 */
final class Changes {

  private final LoadProblem problem;
  private final PlacementModel placement;
  private final Map<String, LoadPlace> standing;

  Changes(LoadProblem problem, PlacementModel placement) {
    this.problem = problem;
    this.placement = placement;
    this.standing = problem.standing();
  }

  /** How many tools come in, leave, or go to another place. */
  LinearExprBuilder count() {
    LinearExprBuilder count = LinearExpr.newBuilder();
    standing.forEach((tool, place) -> {
      Literal stays = placement.places(tool).get(place);
      count.add(1);
      if (stays != null) {
        count.addTerm(stays, -1);
      }
    });
    return count.add(problem.wanted().stream().filter(tool -> !standing.containsKey(tool)).count());
  }

  /** How far tools are carried from place to place, in places; another storage is the furthest. */
  LinearExpr distance() {
    LinearExprBuilder distance = LinearExpr.newBuilder();
    standing.forEach((tool, from) ->
        placement
            .places(tool)
            .forEach((to, stands) -> {
              if (!to.equals(from)) {
                distance.addTerm(stands, steps(from, to));
              }
            }));
    return distance.build();
  }

  private int steps(LoadPlace from, LoadPlace to) {
    return from.storage() == to.storage()
        ? problem.storages().get(to.storage()).spacing().steps(from.index(), to.index())
        : problem.storages().stream()
            .mapToInt(storage -> storage.definition().places())
            .max()
            .orElse(1);
  }
}
