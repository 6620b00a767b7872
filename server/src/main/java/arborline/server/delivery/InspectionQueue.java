package arborline.server.delivery;

import com.github.kagkarlsson.scheduler.SchedulerClient;
import com.github.kagkarlsson.scheduler.task.TaskDescriptor;
import java.time.Duration;
import java.time.Instant;
import java.util.concurrent.locks.LockSupport;

/** Deliveries that wait for being inspected; the queue survives a restart. */
public final class InspectionQueue {

  /** The work on one delivery; the instance is its id. */
  public static final TaskDescriptor<Void> INSPECT = TaskDescriptor.of("inspect-delivery");

  private static final int TRIES = 50;
  private static final Duration PAUSE = Duration.ofMillis(100);

  private InspectionQueue() {}

  /**
   * Puts the inspection of a delivery into the queue, unless it is there. One that has just come to
   * its end is there for another moment: that is waited for.
   */
  static void add(SchedulerClient scheduler, long deliveryId) {
    for (int tries = 0; tries < TRIES; tries++) {
      boolean added =
          scheduler.scheduleIfNotExists(
              INSPECT.instance(Long.toString(deliveryId)).scheduledTo(Instant.now()));
      if (added || waits(scheduler, deliveryId)) {
        return;
      }
      LockSupport.parkNanos(PAUSE.toNanos());
    }
  }

  /** True where it is queued and nobody works on it yet. */
  private static boolean waits(SchedulerClient scheduler, long deliveryId) {
    return scheduler
        .getScheduledExecution(INSPECT.instanceId(Long.toString(deliveryId)))
        .filter(execution -> !execution.isPicked())
        .isPresent();
  }
}
