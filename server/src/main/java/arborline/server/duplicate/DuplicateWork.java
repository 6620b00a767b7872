package arborline.server.duplicate;

import arborline.server.support.PassingFault;
import com.github.kagkarlsson.scheduler.SchedulerClient;
import com.github.kagkarlsson.scheduler.task.TaskDescriptor;
import com.github.kagkarlsson.scheduler.task.helper.OneTimeTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import java.time.Instant;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The search for duplicates as background work that survives a restart. */
@Configuration
class DuplicateWork {

  private static final TaskDescriptor<Void> SEARCH = TaskDescriptor.of("search-duplicates");

  @Bean
  OneTimeTask<Void> searchDuplicates(DuplicateSearch search) {
    return Tasks.oneTime(SEARCH)
        .onFailure(PassingFault.retrying())
        .execute((instance, context) -> search.run(instance.getId()));
  }

  static void queue(SchedulerClient scheduler, String work) {
    scheduler.scheduleIfNotExists(SEARCH.instance(work).scheduledTo(Instant.now()));
  }
}
