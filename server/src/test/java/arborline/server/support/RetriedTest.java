package arborline.server.support;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;

import jakarta.persistence.OptimisticLockException;
import jakarta.persistence.PessimisticLockException;
import java.sql.SQLException;
import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;
import org.hibernate.exception.LockAcquisitionException;
import org.junit.jupiter.api.Test;
import org.springframework.dao.CannotAcquireLockException;
import org.springframework.dao.OptimisticLockingFailureException;
import org.springframework.orm.ObjectOptimisticLockingFailureException;
import org.springframework.transaction.support.TransactionSynchronizationManager;

class RetriedTest {

  private static final List<RuntimeException> IN_THE_WAY =
      List.of(
          new CannotAcquireLockException("deadlock found when trying to get lock"),
          new LockAcquisitionException("deadlock", new SQLException("deadlock")),
          new PessimisticLockException("could not execute batch"),
          new ObjectOptimisticLockingFailureException("its row is gone", null),
          new OptimisticLockException("its row is gone"));

  private final AtomicInteger tried = new AtomicInteger();

  private String doneAtAttempt(int attempt) {
    return Retried.of(() -> {
      if (tried.incrementAndGet() < attempt) {
        throw IN_THE_WAY.get(tried.get() % IN_THE_WAY.size());
      }
      return "done";
    });
  }

  @Test
  void whatStoodInTheWayOfOthersIsDoneAgainWhoeverSaysSo() {
    assertEquals("done", doneAtAttempt(6));
    assertEquals(6, tried.get());
  }

  @Test
  void notWithoutEnd() {
    assertThrows(OptimisticLockingFailureException.class, () -> doneAtAttempt(9));
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

  @Test
  void aPartOfATransactionIsNotBegunAgainByItself() {
    TransactionSynchronizationManager.setActualTransactionActive(true);
    try {
      assertThrows(RuntimeException.class, () -> doneAtAttempt(3));
    } finally {
      TransactionSynchronizationManager.setActualTransactionActive(false);
    }
    assertEquals(1, tried.get());
  }
}
