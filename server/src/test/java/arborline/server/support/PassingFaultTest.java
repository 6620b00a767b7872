package arborline.server.support;

import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.sql.SQLException;
import org.junit.jupiter.api.Test;
import org.springframework.dao.CannotAcquireLockException;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.jdbc.BadSqlGrammarException;
import org.springframework.transaction.CannotCreateTransactionException;

class PassingFaultTest {

  @Test
  void aDatabaseThatIsAwayOrBusyComesBack() {
    assertTrue(PassingFault.is(new DataAccessResourceFailureException("connection reset")));
    assertTrue(PassingFault.is(new CannotAcquireLockException("deadlock")));
    assertTrue(PassingFault.is(new CannotCreateTransactionException("no connection")));
  }

  @Test
  void whatIsWrongInOurselvesStaysWrong() {
    assertFalse(PassingFault.is(new BadSqlGrammarException("", "select", new SQLException())));
    assertFalse(PassingFault.is(new DuplicateKeyException("twice")));
    assertFalse(PassingFault.is(new IllegalStateException("defect")));
  }
}
