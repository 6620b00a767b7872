package arborline.server.exchange;

import arborline.server.support.PassingFault;
import com.github.kagkarlsson.scheduler.SchedulerClient;
import com.github.kagkarlsson.scheduler.task.TaskDescriptor;
import com.github.kagkarlsson.scheduler.task.helper.OneTimeTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import java.time.Instant;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Conversions as background work that survives a restart. */
@Configuration
class ConversionWork {

  private static final TaskDescriptor<Void> CONVERT = TaskDescriptor.of("convert-files");

  @Bean
  OneTimeTask<Void> convertFiles(QueuedConversions conversions) {
    return Tasks.oneTime(CONVERT)
        .onFailure(PassingFault.retrying())
        .execute((instance, context) -> conversions.run(Long.parseLong(instance.getId())));
  }

  static void queue(SchedulerClient scheduler, long id) {
    scheduler.scheduleIfNotExists(CONVERT.instance(Long.toString(id)).scheduledTo(Instant.now()));
  }
}
