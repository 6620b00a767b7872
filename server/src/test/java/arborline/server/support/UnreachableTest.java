package arborline.server.support;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import jakarta.servlet.RequestDispatcher;
import java.sql.SQLTransientConnectionException;
import org.hibernate.exception.JDBCConnectionException;
import org.junit.jupiter.api.Test;
import org.springframework.dao.QueryTimeoutException;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.jdbc.CannotGetJdbcConnectionException;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.transaction.CannotCreateTransactionException;

/** What is answered while no connection to the database is to be had. */
class UnreachableTest {

  private static final SQLTransientConnectionException NONE_FREE =
      new SQLTransientConnectionException("Connection is not available, request timed out");

  private static void tryAgain(ResponseEntity<ProblemDetail> answer) {
    assertEquals(503, answer.getStatusCode().value());
    assertTrue(answer.getBody().getDetail().contains("try again in a moment"));
  }

  @Test
  void whoReadsOrWritesIsAskedToTryAgain() {
    Problems problems = new Problems();
    tryAgain(problems.defect(new CannotGetJdbcConnectionException("none", NONE_FREE)));
    tryAgain(
        problems.defect(
            new CannotCreateTransactionException(
                "none", new JDBCConnectionException("none", NONE_FREE))));
  }

  /** Filters ask the database as well, before any handler. */
  @Test
  void soIsWhoeverIsNotLetThrough() {
    MockHttpServletRequest request = new MockHttpServletRequest();
    request.setAttribute(RequestDispatcher.ERROR_STATUS_CODE, 500);
    request.setAttribute(
        RequestDispatcher.ERROR_EXCEPTION, new CannotGetJdbcConnectionException("none", NONE_FREE));
    request.setAttribute(RequestDispatcher.ERROR_REQUEST_URI, "/api/v1/machines");
    ResponseEntity<ProblemDetail> answer = new ErrorPage().error(request);
    tryAgain(answer);
    assertEquals("/api/v1/machines", answer.getBody().getInstance().toString());
  }

  @Test
  void whoAsksForMoreThanCanBeFoundInTimeIsToldToAskForLess() {
    ProblemDetail answer =
        new Problems().tooLong(new QueryTimeoutException("max_statement_time exceeded"));
    assertEquals(503, answer.getStatus());
    assertTrue(answer.getDetail().contains("ask for less at once"), answer.getDetail());
  }

  @Test
  void aDefectOfOursIsNotBlamedOnTheDatabase() {
    assertEquals(
        500, new Problems().defect(new IllegalStateException("ours")).getStatusCode().value());
  }
}
