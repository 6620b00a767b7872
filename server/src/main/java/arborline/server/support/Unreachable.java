package arborline.server.support;

import org.hibernate.exception.JDBCConnectionException;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.transaction.CannotCreateTransactionException;

/** Tells when the database could not be asked: it is down, or all connections to it are in use. */
final class Unreachable {

  static final String DETAIL =
      "the server has too much to do or does not reach its database; try again in a moment";

  private Unreachable() {}

  static boolean is(Throwable failure) {
    for (Throwable cause = failure; cause != null; cause = cause.getCause()) {
      if (cause instanceof DataAccessResourceFailureException
          || cause instanceof CannotCreateTransactionException
          || cause instanceof JDBCConnectionException) {
        return true;
      }
    }
    return false;
  }
}
