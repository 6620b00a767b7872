package arborline.server.inspection;

import arborline.server.delivery.InspectionQueue;
import arborline.server.support.PassingFault;
import com.github.kagkarlsson.scheduler.task.helper.OneTimeTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Inspection as background work that survives a restart. */
@Configuration
class InspectionWork {

  @Bean
  OneTimeTask<Void> inspectDelivery(Inspection inspection) {
    return Tasks.oneTime(InspectionQueue.INSPECT)
        .onFailure(PassingFault.retrying())
        .execute((instance, context) -> inspection.run(Long.parseLong(instance.getId())));
  }
}
