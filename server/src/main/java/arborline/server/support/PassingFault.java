package arborline.server.support;

import com.github.kagkarlsson.scheduler.task.FailureHandler;
import java.time.Duration;
import org.springframework.dao.DataAccessException;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.dao.InvalidDataAccessApiUsageException;
import org.springframework.dao.InvalidDataAccessResourceUsageException;
import org.springframework.transaction.TransactionException;

/** Tells faults that pass, such as a database that is away, from those that come again. */
public final class PassingFault {

  /** After this long background work that such a fault ended is tried again. */
  private static final Duration SOON = Duration.ofSeconds(3);

  private PassingFault() {}

  /** Tries background work again, soon and as often as it takes. */
  public static FailureHandler<Void> retrying() {
    return new FailureHandler.OnFailureRetryLater<>(SOON);
  }

  /** True where background work does well to try again later. */
  public static boolean is(RuntimeException fault) {
    boolean ours =
        fault instanceof DataIntegrityViolationException
            || fault instanceof InvalidDataAccessApiUsageException
            || fault instanceof InvalidDataAccessResourceUsageException;
    return !ours && (fault instanceof DataAccessException || fault instanceof TransactionException);
  }
}
