package arborline.server.outlet;

import com.github.kagkarlsson.scheduler.task.helper.RecurringTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import com.github.kagkarlsson.scheduler.task.schedule.FixedDelay;
import java.time.Duration;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Looks at the outlets again and again, on one server instance at a time. */
@Configuration
class OutletWork {

  private static final Duration PAUSE = Duration.ofSeconds(3);

  @Bean
  RecurringTask<Void> feedOutlets(OutletWriting writing) {
    return Tasks.recurring("feed-outlets", FixedDelay.of(PAUSE))
        .execute((instance, context) -> writing.look());
  }
}
