package arborline.server.inspection;

import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.verify;

import arborline.server.delivery.InspectionQueue;
import com.github.kagkarlsson.scheduler.task.Execution;
import com.github.kagkarlsson.scheduler.task.ExecutionComplete;
import com.github.kagkarlsson.scheduler.task.ExecutionOperations;
import java.time.Duration;
import java.time.Instant;
import org.junit.jupiter.api.Test;
import org.mockito.ArgumentCaptor;
import org.springframework.dao.CannotAcquireLockException;

class InspectionWorkTest {

  @Test
  @SuppressWarnings("unchecked")
  void whatTwoOthersLockedIsReadAgainWithinSeconds() {
    Instant now = Instant.now();
    ExecutionOperations<Void> operations = mock(ExecutionOperations.class);
    ExecutionComplete failed =
        ExecutionComplete.failure(
            new Execution(now, InspectionQueue.INSPECT.instance("1").build()),
            now,
            now,
            new CannotAcquireLockException("deadlock"));

    new InspectionWork()
        .inspectDelivery(mock(Inspection.class))
        .getFailureHandler()
        .onFailure(failed, operations);

    ArgumentCaptor<Instant> again = ArgumentCaptor.captor();
    verify(operations).reschedule(any(), again.capture());
    Duration wait = Duration.between(now, again.getValue());
    assertTrue(wait.compareTo(Duration.ofSeconds(10)) < 0, "tried again after " + wait);
  }
}
