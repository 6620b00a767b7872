package arborline.server.library;

import com.github.kagkarlsson.scheduler.task.helper.RecurringTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import com.github.kagkarlsson.scheduler.task.schedule.FixedDelay;
import java.time.Duration;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Looks again and again at what libraries include, on one server instance at a time. */
@Configuration
class IncludeWork {

  private static final Duration PAUSE = Duration.ofSeconds(2);

  @Bean
  RecurringTask<Void> followIncludes(IncludeFollowing following) {
    return Tasks.recurring("follow-includes", FixedDelay.of(PAUSE))
        .execute((instance, context) -> following.look());
  }
}
