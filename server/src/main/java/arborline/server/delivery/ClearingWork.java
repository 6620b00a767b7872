package arborline.server.delivery;

import com.github.kagkarlsson.scheduler.SchedulerClient;
import com.github.kagkarlsson.scheduler.SchedulerClient.ScheduleOptions;
import com.github.kagkarlsson.scheduler.task.SchedulableInstance;
import com.github.kagkarlsson.scheduler.task.TaskDescriptor;
import com.github.kagkarlsson.scheduler.task.helper.OneTimeTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import java.time.Instant;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Clearing as background work that survives a restart. */
@Configuration
class ClearingWork {

  private static final TaskDescriptor<Void> CLEAR = TaskDescriptor.of("clear-delivery");

  @Bean
  OneTimeTask<Void> clearDelivery(Clearing clearing) {
    return Tasks.oneTime(CLEAR)
        .execute((instance, context) -> clearing.run(Long.parseLong(instance.getId())));
  }

  /** Has a delivery cleared once it can no longer be brought back. */
  static void queue(SchedulerClient scheduler, long deliveryId, Instant putAwayAt) {
    scheduler.schedule(at(deliveryId, putAwayAt), ScheduleOptions.WHEN_EXISTS_RESCHEDULE);
  }

  /** The same where that may be queued already. */
  static void queueUnlessQueued(SchedulerClient scheduler, long deliveryId, Instant putAwayAt) {
    scheduler.scheduleIfNotExists(at(deliveryId, putAwayAt));
  }

  private static SchedulableInstance<Void> at(long deliveryId, Instant putAwayAt) {
    return CLEAR.instance(Long.toString(deliveryId)).scheduledTo(putAwayAt.plus(Clearing.KEPT));
  }
}
