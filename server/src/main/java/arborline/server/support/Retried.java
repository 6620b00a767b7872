package arborline.server.support;

import java.time.Duration;
import java.util.concurrent.locks.LockSupport;
import java.util.function.Supplier;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/** Whole transactions that end for what others did meanwhile are done again. */
public final class Retried {

  private static final int ATTEMPTS = 8;

  /** Doubled from one attempt to the next. */
  private static final Duration PAUSE = Duration.ofMillis(20);

  private Retried() {}

  /**
   * Does it up to eight times within some seconds; once where it is a part of a transaction that
   * goes on, which has to be begun again as a whole.
   *
   * @param transaction begins and ends a transaction of its own and does nothing outside it
   * @throws RuntimeException of Spring, or where rows are written ahead of the end of a transaction
   *     of Hibernate, where it stood in the way each time
   */
  public static <T> T of(Supplier<T> transaction) {
    for (int attempt = 1; ; attempt++) {
      try {
        return transaction.get();
      } catch (RuntimeException fault) {
        boolean part = TransactionSynchronizationManager.isActualTransactionActive();
        if (!InTheWay.is(fault) || attempt == ATTEMPTS || part) {
          throw fault;
        }
        LockSupport.parkNanos(PAUSE.toNanos() << attempt);
      }
    }
  }
}
