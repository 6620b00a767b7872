package arborline.core.loadplan;

import arborline.core.storage.Blocking;
import com.google.ortools.sat.BoolVar;
import com.google.ortools.sat.IntVar;
import com.google.ortools.sat.LinearExpr;
import com.google.ortools.sat.LinearExprBuilder;
import com.google.ortools.sat.Literal;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * The moves that lead to a placement. A tool comes into its place when all that stand in its way
 * have left theirs; where each waits for another, one of them has to lie on the bench, which is a
 * move more. What goes out leaves first and what comes from outside comes last, so neither makes
 * anybody wait in vain; a tool that stays is in nobody's way, since both what stands now and what
 * stands then is allowed.
 */
final class MoveModel {

  private final LoadProblem problem;
  private final PlacementModel placement;
  private final Map<String, LoadPlace> standing;
  private final List<Blocking> blockings;
  private final Map<String, Literal> bench = new LinkedHashMap<>();
  private final Map<String, IntVar> comes = new HashMap<>();
  private final Map<String, IntVar> leaves = new HashMap<>();
  private final LinearExprBuilder moves;

  MoveModel(LoadProblem problem, PlacementModel placement) {
    this.problem = problem;
    this.placement = placement;
    this.standing = problem.standing();
    this.blockings = problem.storages().stream().map(Blocking::new).toList();
    this.moves = new Changes(problem, placement).count();
    standing.forEach((tool, place) -> carried(tool, place));
    standing.forEach((tool, place) -> waits(tool, place));
  }

  /** How many moves there are. */
  LinearExpr moves() {
    return moves.build();
  }

  /** Tools that lie on the bench meanwhile. */
  Map<String, Literal> bench() {
    return bench;
  }

  private void carried(String tool, LoadPlace from) {
    Map<LoadPlace, Literal> places = placement.places(tool);
    if (problem.keep().contains(tool)) {
      return;
    }
    int last = standing.size();
    BoolVar laid = placement.model.newBoolVar("bench " + tool);
    IntVar coming = placement.model.newIntVar(1, last, "comes " + tool);
    IntVar leaving = placement.model.newIntVar(0, last, "leaves " + tool);
    bench.put(tool, laid);
    comes.put(tool, coming);
    leaves.put(tool, leaving);
    moves.addTerm(laid, 1);
    placement.model.addEquality(leaving, 0).onlyEnforceIf(laid);
    LinearExprBuilder elsewhere = LinearExpr.newBuilder();
    places.forEach((to, stands) -> {
      if (!to.equals(from)) {
        elsewhere.addTerm(stands, 1);
        placement
            .model
            .addEquality(leaving, coming)
            .onlyEnforceIf(new Literal[] {stands, laid.not()});
      }
    });
    placement.model.addLessOrEqual(laid, elsewhere.build());
  }

  /** A tool that goes to another place waits for all whose present places are in its way. */
  private void waits(String tool, LoadPlace from) {
    if (!comes.containsKey(tool)) {
      return;
    }
    placement
        .places(tool)
        .forEach((to, stands) -> {
          if (!to.equals(from)) {
            Blocking blocking = blockings.get(to.storage());
            standing.forEach((other, there) -> {
              if (!other.equals(tool)
                  && leaves.containsKey(other)
                  && there.storage() == to.storage()
                  && blocking
                      .clash(
                          problem.tools().get(tool).in(to.storage()),
                          to.index(),
                          problem.tools().get(other).in(to.storage()),
                          there.index())
                      .isPresent()) {
                placement
                    .model
                    .addGreaterThan(comes.get(tool), leaves.get(other))
                    .onlyEnforceIf(stands);
              }
            });
          }
        });
  }
}
