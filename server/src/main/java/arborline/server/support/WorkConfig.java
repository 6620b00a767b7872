package arborline.server.support;

import com.github.kagkarlsson.scheduler.Scheduler;
import com.github.kagkarlsson.scheduler.task.Task;
import com.github.kagkarlsson.scheduler.task.helper.RecurringTask;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import javax.sql.DataSource;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.event.EventListener;

/**
 * Background work that survives a restart: kept in the database, picked up by one instance, taken
 * over by another when its heartbeat stops.
 */
@Configuration
class WorkConfig {

  private static final int THREADS = 2;

  private final org.springframework.beans.factory.ObjectProvider<Scheduler> scheduler;

  WorkConfig(org.springframework.beans.factory.ObjectProvider<Scheduler> scheduler) {
    this.scheduler = scheduler;
  }

  @Bean(destroyMethod = "stop")
  Scheduler scheduler(@Background DataSource dataSource, List<Task<?>> tasks) {
    List<RecurringTask<?>> recurring = new ArrayList<>();
    List<Task<?>> others = new ArrayList<>();
    for (Task<?> task : tasks) {
      if (task instanceof RecurringTask<?> again) {
        recurring.add(again);
      } else {
        others.add(task);
      }
    }
    return Scheduler.create(dataSource, others)
        .startTasks(recurring)
        .threads(THREADS)
        .pollingInterval(Duration.ofSeconds(2))
        .heartbeatInterval(Duration.ofSeconds(2))
        .shutdownMaxWait(Duration.ofSeconds(5))
        .enableImmediateExecution()
        .alwaysPersistTimestampInUTC()
        .build();
  }

  @EventListener(ApplicationReadyEvent.class)
  void start() {
    scheduler.getObject().start();
  }
}
