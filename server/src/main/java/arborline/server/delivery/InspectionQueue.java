package arborline.server.delivery;

import com.github.kagkarlsson.scheduler.SchedulerClient;
import com.github.kagkarlsson.scheduler.task.TaskDescriptor;
import java.time.Instant;

/** Deliveries that wait for being inspected; the queue survives a restart. */
public final class InspectionQueue {

  /** The work on one delivery; the instance is its id. */
  public static final TaskDescriptor<Void> INSPECT = TaskDescriptor.of("inspect-delivery");

  private InspectionQueue() {}

  /** Puts the inspection of a delivery into the queue, unless it is there. */
  static void add(SchedulerClient scheduler, long deliveryId) {
    scheduler.scheduleIfNotExists(
        INSPECT.instance(Long.toString(deliveryId)).scheduledTo(Instant.now()));
  }
}
