package arborline.server.support;

import org.springframework.dao.DataAccessException;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.dao.InvalidDataAccessApiUsageException;
import org.springframework.dao.InvalidDataAccessResourceUsageException;
import org.springframework.transaction.TransactionException;

/** Tells faults that pass, such as a database that is away, from those that come again. */
public final class PassingFault {

  private PassingFault() {}

  /** True where background work does well to try again later. */
  public static boolean is(RuntimeException fault) {
    boolean ours =
        fault instanceof DataIntegrityViolationException
            || fault instanceof InvalidDataAccessApiUsageException
            || fault instanceof InvalidDataAccessResourceUsageException;
    return !ours && (fault instanceof DataAccessException || fault instanceof TransactionException);
  }
}
