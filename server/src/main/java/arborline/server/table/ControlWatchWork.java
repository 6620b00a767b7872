package arborline.server.table;

import com.github.kagkarlsson.scheduler.task.helper.RecurringTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import com.github.kagkarlsson.scheduler.task.schedule.FixedDelay;
import java.time.Duration;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Looks at all controls every while; {@code arbor.controls.pace} of zero never does. */
@Configuration
class ControlWatchWork {

  private static final Duration SELDOM = Duration.ofDays(1);

  @Bean
  RecurringTask<Void> watchControls(
      ControlWatch watch, @Value("${arbor.controls.pace:20s}") Duration pace) {
    return Tasks.recurring("watch-controls", FixedDelay.of(pace.isZero() ? SELDOM : pace))
        .execute((instance, context) -> {
          if (!pace.isZero()) {
            watch.look();
          }
        });
  }
}
