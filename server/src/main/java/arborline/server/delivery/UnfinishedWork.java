package arborline.server.delivery;

import com.github.kagkarlsson.scheduler.SchedulerClient;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/**
 * Queues at every start what a server left behind that died between storing a delivery and queueing
 * the work on it. What is queued already stays as it is.
 */
@Component
class UnfinishedWork {

  private final DeliveryRepository deliveries;
  private final SchedulerClient scheduler;

  UnfinishedWork(DeliveryRepository deliveries, SchedulerClient scheduler) {
    this.deliveries = deliveries;
    this.scheduler = scheduler;
  }

  @EventListener(ApplicationReadyEvent.class)
  void queue() {
    for (Delivery delivery : deliveries.unfinished()) {
      if (delivery.putAwayAt == null) {
        InspectionQueue.add(scheduler, delivery.id);
      } else {
        ClearingWork.queueUnlessQueued(scheduler, delivery.id, delivery.putAwayAt);
      }
    }
  }
}
