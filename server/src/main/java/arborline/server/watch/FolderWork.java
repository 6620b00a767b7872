package arborline.server.watch;

import com.github.kagkarlsson.scheduler.task.helper.RecurringTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import com.github.kagkarlsson.scheduler.task.schedule.FixedDelay;
import java.time.Duration;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Looks into the watched folders again and again, on one server instance at a time. */
@Configuration
class FolderWork {

  private static final Duration PAUSE = Duration.ofSeconds(5);

  @Bean
  RecurringTask<Void> lookIntoFolders(FolderScan scan) {
    return Tasks.recurring("look-into-folders", FixedDelay.of(PAUSE))
        .execute((instance, context) -> scan.look());
  }
}
