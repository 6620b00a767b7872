package arborline.core.loadplan;

import arborline.core.loadplan.PlacementModel.Rule;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;

/** Reasons of a set of tools that cannot all be in, where each of them alone could. */
final class SetObstacles {

  /** Says whether tools can be in under some rules. */
  interface Possible {
    boolean test(LoadProblem problem, Set<String> needed, Set<Rule> rules);
  }

  private final LoadProblem problem;
  private final Possible possible;
  private final Set<String> needed;

  SetObstacles(LoadProblem problem, Possible possible) {
    this.problem = problem;
    this.possible = possible;
    this.needed = LoadPlanner.needed(problem);
  }

  /**
   * Too few places is named alone; else whichever of mass and blocking is in the way by itself, or
   * both where only both together are.
   */
  List<LoadObstacle> all() {
    if (!can(EnumSet.noneOf(Rule.class))) {
      return List.of(
          new LoadObstacle(
              LoadReason.NO_ROOM,
              "",
              "%s; the places that take them are too few"
                  .formatted(
                      needed.size() == 1
                          ? "one tool has to be in"
                          : needed.size() + " tools have to be in")));
    }
    boolean mass = !can(EnumSet.of(Rule.MASS_SUM));
    boolean blocking = !can(EnumSet.of(Rule.BLOCKING));
    List<LoadObstacle> obstacles = new ArrayList<>();
    if (mass || !blocking) {
      obstacles.add(
          new LoadObstacle(
              LoadReason.MASS_SUM,
              "",
              "the tools that have to be in weigh more than their storages carry"));
    }
    if (blocking || !mass) {
      obstacles.add(
          new LoadObstacle(
              LoadReason.NO_ROOM_FOR_OVERSIZE,
              "",
              "the wide ones among the tools need more empty places beside them than there are"));
    }
    return obstacles;
  }

  private boolean can(Set<Rule> rules) {
    return possible.test(problem, needed, rules);
  }
}
