package arborline.server.tool;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyInt;
import static org.mockito.Mockito.inOrder;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.times;
import static org.mockito.Mockito.when;

import arborline.server.support.StopRequests;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.mockito.InOrder;
import org.springframework.dao.CannotAcquireLockException;

class StoppedBulkTest {

  private final BulkEdits edits = mock(BulkEdits.class);
  private final StopRequests stops = mock(StopRequests.class);

  @Test
  void whoAsksForItToStopIsHeardAlsoWhereTheChangeIsBegunAgain() {
    BulkEdits.BulkAnswer done = new BulkEdits.BulkAnswer(1, 0, 0, List.of(), List.of(), 7);
    when(edits.apply(any(), any(), anyInt(), any()))
        .thenThrow(new CannotAcquireLockException("deadlock"))
        .thenReturn(done);
    BulkController.BulkOrder order =
        new BulkController.BulkOrder(
            List.of(1L),
            BulkController.EditKind.VALUE,
            "NOF",
            "4",
            null,
            null,
            null,
            null,
            "flutes");

    assertEquals(done, new BulkController(edits, stops).bulk(false, order));

    InOrder once = inOrder(stops, edits);
    once.verify(stops).clear(BulkEdits.name("flutes"));
    once.verify(edits, times(2)).apply(any(), any(), anyInt(), any());
    once.verifyNoMoreInteractions();
  }
}
