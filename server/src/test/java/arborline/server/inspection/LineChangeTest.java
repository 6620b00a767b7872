package arborline.server.inspection;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.inOrder;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import arborline.core.exchange.RawItem;
import arborline.core.inspect.Inspector;
import arborline.server.delivery.Delivery;
import arborline.server.delivery.DeliveryLine;
import arborline.server.delivery.LineRepository;
import arborline.server.live.Live;
import arborline.server.support.Refusal;
import arborline.server.support.StopRequests;
import jakarta.persistence.EntityManager;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.TreeMap;
import java.util.function.LongFunction;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.mockito.InOrder;

/** Long work on lines says how far it is, and stops when somebody asks. */
class LineChangeTest {

  private final StopRequests stops = mock(StopRequests.class);
  private final Live live = mock(Live.class);
  private final Delivery delivery =
      new Delivery("mills.csv", 10, Instant.parse("2026-11-25T08:00:00Z"), "lead");
  private final List<List<Long>> steps = new ArrayList<>();
  private final LineChange change =
      new LineChange(
          mock(LineRepository.class),
          mock(LineJudge.class),
          stops,
          live,
          mock(EntityManager.class));

  @BeforeEach
  void number() {
    delivery.id = 7L;
  }

  /** Three steps of two lines each. */
  private static final LongFunction<List<Long>> SIX =
      after -> after < 6 ? List.of(after + 1, after + 2) : List.of();

  private List<DeliveryLine> step(List<Long> ids) {
    steps.add(ids);
    return ids.stream().map(LineChangeTest::line).toList();
  }

  private static DeliveryLine line(long id) {
    RawItem blank = new RawItem(id, new TreeMap<>(), List.of());
    return new DeliveryLine(id, 7, 0, id, Inspector.inspect(blank), "[]");
  }

  @Test
  void countsWhileThereIsMoreToDo() {
    assertEquals(6, change.make(delivery, SIX, this::step));
    assertEquals(List.of(List.of(1L, 2L), List.of(3L, 4L), List.of(5L, 6L)), steps);
    InOrder heard = inOrder(live);
    heard.verify(live).sayNow("delivery", 7L, "correcting 2");
    heard.verify(live).sayNow("delivery", 7L, "correcting 4");
    heard.verifyNoMoreInteractions();
  }

  @Test
  void aShortChangeSaysNothingOnItsWay() {
    LongFunction<List<Long>> one = after -> after < 1 ? List.of(1L) : List.of();
    assertEquals(1, change.make(delivery, one, this::step));
    verify(live, never()).sayNow(any(), any(), any());
  }

  @Test
  void stopsBetweenStepsAndSaysThatNothingIsDone() {
    when(stops.asked("delivery-7")).thenReturn(false, true);
    Refusal refused = assertThrows(Refusal.class, () -> change.make(delivery, SIX, this::step));
    assertEquals("this was stopped; no line was changed", refused.getMessage());
    assertEquals(2, steps.size());
    verify(live).sayNow(eq("delivery"), eq(7L), eq("not done"));
  }

  @Test
  void aFailureEndsTheCountAsWell() {
    IllegalStateException broken = new IllegalStateException("broken");
    LongFunction<List<Long>> failing =
        after -> {
          if (after > 0) {
            throw broken;
          }
          return List.of(1L);
        };
    assertEquals(
        broken,
        assertThrows(
            IllegalStateException.class, () -> change.make(delivery, failing, this::step)));
    verify(live).sayNow("delivery", 7L, "not done");
  }
}
