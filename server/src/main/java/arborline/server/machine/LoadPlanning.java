package arborline.server.machine;

import arborline.core.loadplan.LoadAnswer;
import arborline.core.loadplan.LoadPlanner;
import arborline.core.loadplan.LoadProblem;
import arborline.core.loadplan.LoadUnsettledException;
import arborline.core.loadplan.SolverWarmUp;
import arborline.server.account.Actor;
import arborline.server.support.Refusal;
import java.time.Duration;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import java.util.function.Supplier;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/**
 * Plans loads, one at a time: each takes all processors there are. Those of machines do not wait
 * for those that somebody only wants explained.
 */
@Component
public class LoadPlanning {

  private static final Duration TIME = Duration.ofMillis(1600);
  private static final Duration LONGER = Duration.ofSeconds(8);
  private static final Duration EXPLAINED = Duration.ofSeconds(5);
  private static final Duration PATIENCE = Duration.ofSeconds(40);

  private final Semaphore turn = new Semaphore(1, true);
  private final Semaphore explaining = new Semaphore(1, true);

  /** Readies the solver in the background: the first load is planned as fast as all others. */
  @EventListener(ApplicationReadyEvent.class)
  void warmUp() {
    Thread.ofPlatform().daemon().name("solver warm-up").start(SolverWarmUp::run);
  }

  /** What is looked for, by who wants it. */
  private final Map<String, LoadPlanner> running = new ConcurrentHashMap<>();

  /**
   * Says where tools go, or why they cannot; where that is not settled in time, which of them can
   * for certain. Never called inside a transaction.
   *
   * @param longer true where somebody would rather wait
   * @throws Refusal where others plan for too long, or nothing is found in the time there is
   */
  LoadAnswer plan(LoadProblem problem, boolean longer) {
    LoadPlanner planner = new LoadPlanner(longer ? LONGER : TIME);
    running.put(Actor.name(), planner);
    try {
      return inTurn(turn, () -> planner.planOrNearest(problem));
    } catch (LoadUnsettledException unsettled) {
      throw refusal(unsettled);
    } finally {
      running.remove(Actor.name(), planner);
    }
  }

  /** As {@link #plan}, for a problem that somebody sends. */
  public LoadAnswer explain(LoadProblem problem) {
    try {
      return inTurn(explaining, () -> new LoadPlanner(EXPLAINED).plan(problem));
    } catch (LoadUnsettledException unsettled) {
      throw refusal(unsettled);
    }
  }

  private static LoadAnswer inTurn(Semaphore turn, Supplier<LoadAnswer> planned) {
    waitFor(turn);
    try {
      return planned.get();
    } finally {
      turn.release();
    }
  }

  private static Refusal refusal(LoadUnsettledException unsettled) {
    return Refusal.of(
        HttpStatus.CONFLICT, "%s; plan fewer of them at once".formatted(unsettled.getMessage()));
  }

  /** Stops what whoever acts now has planned; the best that was found by then is the answer. */
  void stop() {
    Optional.ofNullable(running.get(Actor.name())).ifPresent(LoadPlanner::stop);
  }

  private static void waitFor(Semaphore turn) {
    try {
      if (turn.tryAcquire(PATIENCE.toMillis(), TimeUnit.MILLISECONDS)) {
        return;
      }
    } catch (InterruptedException stopped) {
      Thread.currentThread().interrupt();
    }
    throw Refusal.of(
        HttpStatus.SERVICE_UNAVAILABLE,
        "others have loads planned just now; nothing was changed, try again in a moment");
  }
}
