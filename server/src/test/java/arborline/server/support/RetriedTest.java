package arborline.server.support;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;

import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;
import org.springframework.dao.CannotAcquireLockException;

class RetriedTest {

  private final AtomicInteger tried = new AtomicInteger();

  private String doneAtAttempt(int attempt) {
    return Retried.of(() -> {
      if (tried.incrementAndGet() < attempt) {
        throw new CannotAcquireLockException("deadlock found when trying to get lock");
      }
      return "done";
    });
  }

  @Test
  void whatStoodInTheWayOfOthersIsDoneAgain() {
    assertEquals("done", doneAtAttempt(3));
    assertEquals(3, tried.get());
  }

  @Test
  void notWithoutEnd() {
    assertThrows(CannotAcquireLockException.class, () -> doneAtAttempt(9));
    assertEquals(8, tried.get());
  }

  @Test
  void aRefusalIsAnAnswer() {
    assertThrows(
        Refusal.class,
        () ->
            Retried.of(() -> {
              tried.incrementAndGet();
              throw Refusal.conflict("it is locked");
            }));
    assertEquals(1, tried.get());
  }
}
