package arborline.server.exchange;

import arborline.server.support.PassingFault;
import com.github.kagkarlsson.scheduler.SchedulerClient;
import com.github.kagkarlsson.scheduler.task.TaskDescriptor;
import com.github.kagkarlsson.scheduler.task.helper.OneTimeTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import java.time.Instant;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Writing of libraries as background work that survives a restart. */
@Configuration
class WritingWork {

  private static final TaskDescriptor<Void> WRITE = TaskDescriptor.of("write-file");

  @Bean
  OneTimeTask<Void> writeFile(WrittenFiles files) {
    return Tasks.oneTime(WRITE)
        .onFailure(PassingFault.retrying())
        .execute((instance, context) -> files.run(Long.parseLong(instance.getId())));
  }

  static void queue(SchedulerClient scheduler, long id) {
    scheduler.scheduleIfNotExists(WRITE.instance(Long.toString(id)).scheduledTo(Instant.now()));
  }
}
