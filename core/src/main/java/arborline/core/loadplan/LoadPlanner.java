package arborline.core.loadplan;

import arborline.core.loadplan.PlacementModel.Rule;
import com.google.ortools.Loader;
import com.google.ortools.sat.CpSolver;
import com.google.ortools.sat.CpSolverStatus;
import com.google.ortools.sat.LinearExpr;
import com.google.ortools.sat.LinearExprBuilder;
import java.time.Duration;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;

/**
 * Finds the placement with the fewest moves, among those the one with the shortest, with the solver
 * CP-SAT. What it cannot settle in the time it has is said by {@link LoadAnswer#leastMoves}.
 */
public final class LoadPlanner {

  private static final Set<Rule> ALL = EnumSet.allOf(Rule.class);

  /** Parts of the time that is left. */
  private static final double MOST = 0.8;

  private static final double HALF = 0.5;

  private static final double WHOLE = 1;

  private final Duration time;
  private long end = Long.MAX_VALUE;
  private volatile CpSolver running;
  private volatile boolean stopped;

  /**
   * A planner.
   *
   * @param time how long it may look, all in all
   */
  public LoadPlanner(Duration time) {
    Loader.loadNativeLibraries();
    this.time = time;
  }

  /**
   * Says where the tools go, or why they cannot.
   *
   * @throws LoadUnsettledException where neither is known in the time there is
   */
  public LoadAnswer plan(LoadProblem problem) {
    end = System.nanoTime() + time.toNanos();
    List<LoadObstacle> obstacles = new SingleObstacles(problem).all();
    if (obstacles.isEmpty()) {
      LoadAnswer answer = moved(problem, Optional.empty());
      if (answer.feasible()) {
        return answer;
      }
      obstacles = new SetObstacles(problem, this::possible).all();
    }
    return without(problem, obstacles);
  }

  /**
   * As {@link #plan}; where the time is over before anything is known, what can be in for certain,
   * which takes as long again.
   *
   * @throws LoadUnsettledException where nothing is found then either, and where it was stopped
   */
  public LoadAnswer planOrNearest(LoadProblem problem) {
    try {
      return plan(problem);
    } catch (LoadUnsettledException unsettled) {
      if (stopped) {
        throw unsettled;
      }
      end = System.nanoTime() + time.toNanos();
      return without(
          problem, List.of(new LoadObstacle(LoadReason.NOT_SETTLED, "", unsettled.getMessage())));
    }
  }

  /** The load with the fewest tools left out; it is moved to from the one that was found. */
  private LoadAnswer without(LoadProblem problem, List<LoadObstacle> obstacles) {
    Nearest nearest = nearest(problem, obstacles);
    List<String> rest =
        problem.wanted().stream().filter(tool -> !nearest.leftOut().contains(tool)).toList();
    LoadAnswer answer = moved(problem.wanting(rest), nearest.stands());
    return new LoadAnswer(
        false,
        answer.placement(),
        answer.moves(),
        answer.leastMoves(),
        obstacles,
        nearest.leftOut());
  }

  /**
   * What can be in where not all can.
   *
   * @param stands where; empty where not even what has to stay can
   */
  private record Nearest(List<String> leftOut, Optional<Map<LoadPlace, String>> stands) {}

  private static LoadAnswer nothing() {
    return new LoadAnswer(false, Map.of(), List.of(), 0, List.of(), List.of());
  }

  /** Tools that have to be in at the end. */
  static Set<String> needed(LoadProblem problem) {
    Set<String> needed = new LinkedHashSet<>(problem.wanted());
    needed.addAll(new TreeSet<>(problem.keep()));
    return needed;
  }

  private boolean possible(LoadProblem problem, Set<String> needed, Set<Rule> rules) {
    PlacementModel placement = new PlacementModel(problem, needed, rules);
    if (rules.contains(Rule.BLOCKING) && new Room(problem).exceeded(placement, needed)) {
      return false;
    }
    needed.forEach(placement::need);
    startWith(problem.present(), placement, needed);
    return solved(solver(MOST).solve(placement.model));
  }

  /** The search begins with tools where they stand, since few of them move. */
  private static void startWith(
      Map<LoadPlace, String> stands, PlacementModel placement, Set<String> tools) {
    for (String tool : tools) {
      placement
          .places(tool)
          .forEach(
              (place, stand) -> placement.model.addHint(stand, tool.equals(stands.get(place))));
    }
  }

  private static boolean found(CpSolverStatus status) {
    return status == CpSolverStatus.OPTIMAL || status == CpSolverStatus.FEASIBLE;
  }

  /** True where a placement was found, false where there is none. */
  private static boolean solved(CpSolverStatus status) {
    return switch (status) {
      case OPTIMAL, FEASIBLE -> true;
      case INFEASIBLE -> false;
      default -> throw new LoadUnsettledException();
    };
  }

  /** The fewest tools without which the rest can be in. */
  private Nearest nearest(LoadProblem problem, List<LoadObstacle> obstacles) {
    Set<String> impossible = new TreeSet<>();
    obstacles.stream()
        .filter(obstacle -> !obstacle.tool().isEmpty())
        .forEach(obstacle -> impossible.add(obstacle.tool()));
    Set<String> needed = needed(problem);
    needed.removeAll(impossible);
    PlacementModel placement = new PlacementModel(problem, needed, ALL);
    LinearExprBuilder in = LinearExpr.newBuilder();
    problem.keep().forEach(placement::need);
    for (String tool : problem.wanted()) {
      if (needed.contains(tool)) {
        placement.places(tool).values().forEach(stands -> in.addTerm(stands, 1));
      }
    }
    placement.model.maximize(in.build());
    startWith(problem.present(), placement, needed);
    CpSolver solver = solver(HALF);
    if (!solved(solver.solve(placement.model))) {
      return new Nearest(problem.wanted(), Optional.empty());
    }
    Map<LoadPlace, String> stands = stands(needed, placement, solver);
    return new Nearest(
        problem.wanted().stream().filter(tool -> !stands.containsValue(tool)).toList(),
        Optional.of(stands));
  }

  /** What stands where, as a solver found it. */
  private static Map<LoadPlace, String> stands(
      Set<String> tools, PlacementModel placement, CpSolver solver) {
    Map<LoadPlace, String> stands = new TreeMap<>();
    for (String tool : tools) {
      placement
          .places(tool)
          .forEach((place, literal) -> {
            if (solver.booleanValue(literal)) {
              stands.put(place, tool);
            }
          });
    }
    return stands;
  }

  /**
   * The fewest changes first: where they can be made one after the other, there are no fewer moves.
   * Only where tools wait for each other it is looked for which of them best lie on the bench.
   *
   * @param known a placement that is possible, where there is one
   */
  private LoadAnswer moved(LoadProblem problem, Optional<Map<LoadPlace, String>> known) {
    Set<String> tools = needed(problem);
    tools.addAll(problem.standing().keySet());
    PlacementModel placement = new PlacementModel(problem, tools, ALL);
    if (new Room(problem).exceeded(placement, needed(problem))) {
      return nothing();
    }
    needed(problem).forEach(placement::need);
    Changes changes = new Changes(problem, placement);
    placement.model.minimize(changes.count());
    startWith(known.orElse(problem.present()), placement, tools);
    CpSolver solver = solver(MOST);
    CpSolverStatus status = solver.solve(placement.model);
    if (status == CpSolverStatus.UNKNOWN && known.isPresent()) {
      return moving(problem, known.get(), 0);
    }
    if (!solved(status)) {
      return nothing();
    }
    int least = bound(solver);
    Map<LoadPlace, String> stands = stands(tools, placement, solver);
    LoadAnswer found = moving(problem, stands, least);
    if (least != Math.round(solver.objectiveValue())) {
      return waited(problem, tools, found);
    }
    placement.model.addEquality(changes.count(), least);
    LoadAnswer shortest = moving(problem, shortest(changes, placement, tools, stands), least);
    return shortest.optimal() ? shortest : waited(problem, tools, shortest.orFewer(found));
  }

  /** A placement that is moved to from what stands. */
  static LoadAnswer moving(LoadProblem problem, Map<LoadPlace, String> stands, int least) {
    return new LoadAnswer(
        true, stands, MoveOrder.of(problem, stands, List.of()), least, List.of(), List.of());
  }

  private static int bound(CpSolver solver) {
    return (int) Math.ceil(solver.bestObjectiveBound() - 1e-6);
  }

  /** Of placements with equally many moves one whose tools are carried the least. */
  private Map<LoadPlace, String> shortest(
      Changes changes, PlacementModel placement, Set<String> tools, Map<LoadPlace, String> stands) {
    placement.model.clearHints();
    startWith(stands, placement, tools);
    placement.model.minimize(changes.distance());
    CpSolver solver = solver(MOST);
    return found(solver.solve(placement.model)) ? stands(tools, placement, solver) : stands;
  }

  /**
   * The fewest moves where tools wait for each other, or where the fewest changes are not known.
   */
  private LoadAnswer waited(LoadProblem problem, Set<String> tools, LoadAnswer best) {
    PlacementModel placement = new PlacementModel(problem, tools, ALL);
    needed(problem).forEach(placement::need);
    MoveModel moves = new MoveModel(problem, placement);
    placement.model.minimize(moves.moves());
    placement.model.addGreaterOrEqual(moves.moves(), best.leastMoves());
    startWith(best.placement(), placement, tools);
    CpSolver solver = solver(WHOLE);
    if (!found(solver.solve(placement.model)) || solver.objectiveValue() > best.moves().size()) {
      return best;
    }
    int least = Math.max(best.leastMoves(), bound(solver));
    LoadAnswer fewest = answer(problem, tools, placement, moves, solver, least);
    placement.model.addEquality(moves.moves(), Math.round(solver.objectiveValue()));
    placement.model.clearHints();
    startWith(fewest.placement(), placement, tools);
    moves
        .bench()
        .values()
        .forEach(laid -> placement.model.addHint(laid, solver.booleanValue(laid)));
    placement.model.minimize(new Changes(problem, placement).distance());
    CpSolver shorter = solver(WHOLE);
    return found(shorter.solve(placement.model))
        ? answer(problem, tools, placement, moves, shorter, least)
        : fewest;
  }

  private static LoadAnswer answer(
      LoadProblem problem,
      Set<String> tools,
      PlacementModel placement,
      MoveModel moves,
      CpSolver solver,
      int least) {
    Map<LoadPlace, String> stands = stands(tools, placement, solver);
    List<String> bench = new ArrayList<>();
    moves
        .bench()
        .forEach((tool, laid) -> {
          if (solver.booleanValue(laid)) {
            bench.add(tool);
          }
        });
    return new LoadAnswer(
        true, stands, MoveOrder.of(problem, stands, bench), least, List.of(), List.of());
  }

  /** True where another thread ended the search. */
  public boolean stopped() {
    return stopped;
  }

  /** Ends a search that another thread has begun: the best that was found is the answer. */
  public void stop() {
    stopped = true;
    CpSolver searching = running;
    if (searching != null) {
      searching.stopSearch();
    }
  }

  /** Seconds that are left to look. */
  private double left() {
    return Math.max(0, (end - System.nanoTime()) / 1e9);
  }

  /** A solver that has a part of the time that is left. */
  private CpSolver solver(double part) {
    CpSolver solver = new CpSolver();
    running = solver;
    solver.getParameters().setMaxTimeInSeconds(stopped ? 0 : left() * part);
    solver
        .getParameters()
        .setNumWorkers(Math.clamp(Runtime.getRuntime().availableProcessors(), 1, 8));
    solver
        .getParameters()
        .setRandomSeed(1)
        .setSymmetryLevel(0)
        .setCpModelProbingLevel(0)
        .setLinearizationLevel(2);
    return solver;
  }
}
