package arborline.server.support;

import jakarta.persistence.LockTimeoutException;
import jakarta.persistence.OptimisticLockException;
import jakarta.persistence.PessimisticLockException;
import java.util.Set;
import org.hibernate.StaleStateException;
import org.hibernate.exception.LockAcquisitionException;
import org.springframework.dao.OptimisticLockingFailureException;
import org.springframework.dao.PessimisticLockingFailureException;

/**
 * Tells the faults by which a transaction ends for what others did meanwhile: both wanted the same
 * rows, or a row that was read is gone. Spring says so at the end of a transaction, Hibernate and
 * Jakarta where rows are written ahead of it.
 */
final class InTheWay {

  private static final Set<Class<? extends RuntimeException>> FAULTS =
      Set.of(
          PessimisticLockingFailureException.class,
          OptimisticLockingFailureException.class,
          LockAcquisitionException.class,
          StaleStateException.class,
          LockTimeoutException.class,
          PessimisticLockException.class,
          OptimisticLockException.class);

  private InTheWay() {}

  /** True where the same transaction may well go through when it is begun again. */
  static boolean is(Exception fault) {
    return FAULTS.stream().anyMatch(known -> known.isInstance(fault));
  }
}
