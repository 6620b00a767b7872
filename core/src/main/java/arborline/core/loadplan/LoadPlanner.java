package arborline.core.loadplan;

import arborline.core.loadplan.PlacementModel.Rule;
import com.google.ortools.Loader;
import com.google.ortools.sat.CpSolver;
import com.google.ortools.sat.CpSolverStatus;
import com.google.ortools.sat.LinearExpr;
import com.google.ortools.sat.LinearExprBuilder;
import com.google.ortools.sat.Literal;
import java.time.Duration;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;

/**
 * Finds the placement with the fewest moves, among those the one with the shortest, with the solver
 * CP-SAT. What it cannot settle in the time it has is said by {@link LoadAnswer#leastMoves}.
 */
public final class LoadPlanner {

  private static final Set<Rule> ALL = EnumSet.allOf(Rule.class);

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
      obstacles = new SetObstacles(problem, this::possible).all();
    }
    if (obstacles.isEmpty()) {
      return moved(problem);
    }
    List<String> leftOut = leftOut(problem, obstacles);
    LoadProblem rest =
        problem.wanting(problem.wanted().stream().filter(tool -> !leftOut.contains(tool)).toList());
    LoadAnswer nearest = possible(rest, needed(rest), ALL) ? moved(rest) : nothing();
    return new LoadAnswer(
        false, nearest.placement(), nearest.moves(), nearest.leastMoves(), obstacles, leftOut);
  }

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
    needed.forEach(placement::need);
    return solved(solver().solve(placement.model));
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
  private List<String> leftOut(LoadProblem problem, List<LoadObstacle> obstacles) {
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
    CpSolver solver = solver();
    boolean solved = solved(solver.solve(placement.model));
    return problem.wanted().stream()
        .filter(tool ->
            impossible.contains(tool)
                || !solved
                || placement.places(tool).values().stream().noneMatch(solver::booleanValue))
        .toList();
  }

  private LoadAnswer moved(LoadProblem problem) {
    Set<String> tools = needed(problem);
    tools.addAll(problem.standing().keySet());
    PlacementModel placement = new PlacementModel(problem, tools, ALL);
    needed(problem).forEach(placement::need);
    MoveModel moves = new MoveModel(problem, placement);
    placement.model.minimize(moves.moves());
    CpSolver solver = solver();
    if (!solved(solver.solve(placement.model))) {
      return nothing();
    }
    int least = (int) Math.ceil(solver.bestObjectiveBound() - 1e-6);
    long fewest = Math.round(solver.objectiveValue());
    placement.model.addEquality(moves.moves(), fewest);
    hint(placement, tools, moves, solver);
    placement.model.minimize(moves.distance());
    CpSolver shorter = solver();
    CpSolverStatus second = shorter.solve(placement.model);
    boolean found = second == CpSolverStatus.OPTIMAL || second == CpSolverStatus.FEASIBLE;
    return answer(problem, tools, placement, moves, found ? shorter : solver, least);
  }

  private static void hint(
      PlacementModel placement, Set<String> tools, MoveModel moves, CpSolver solver) {
    for (String tool : tools) {
      for (Literal stands : placement.places(tool).values()) {
        placement.model.addHint(stands, solver.booleanValue(stands));
      }
    }
    moves
        .bench()
        .values()
        .forEach(laid -> placement.model.addHint(laid, solver.booleanValue(laid)));
  }

  private static LoadAnswer answer(
      LoadProblem problem,
      Set<String> tools,
      PlacementModel placement,
      MoveModel moves,
      CpSolver solver,
      int least) {
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

  private CpSolver solver() {
    CpSolver solver = new CpSolver();
    running = solver;
    solver.getParameters().setMaxTimeInSeconds(stopped ? 0 : left());
    solver
        .getParameters()
        .setNumWorkers(Math.clamp(Runtime.getRuntime().availableProcessors(), 1, 8));
    solver.getParameters().setRandomSeed(1);
    return solver;
  }
}
