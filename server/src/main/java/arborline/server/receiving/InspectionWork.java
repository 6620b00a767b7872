package arborline.server.receiving;

import com.github.kagkarlsson.scheduler.SchedulerClient;
import com.github.kagkarlsson.scheduler.task.TaskDescriptor;
import com.github.kagkarlsson.scheduler.task.helper.OneTimeTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import java.time.Instant;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Inspection as background work that survives a restart. */
@Configuration
class InspectionWork {

  private static final TaskDescriptor<Void> INSPECT = TaskDescriptor.of("inspect-delivery");

  @Bean
  OneTimeTask<Void> inspectDelivery(Inspection inspection) {
    return Tasks.oneTime(INSPECT)
        .execute((instance, context) -> inspection.run(Long.parseLong(instance.getId())));
  }

  /** Puts the inspection of a delivery into the queue. */
  static void queue(SchedulerClient scheduler, long deliveryId) {
    scheduler.scheduleIfNotExists(
        INSPECT.instance(Long.toString(deliveryId)).scheduledTo(Instant.now()));
  }
}
