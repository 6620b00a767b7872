package arborline.server.inspection;

import arborline.server.delivery.DeliveryLine;
import arborline.server.delivery.Document;
import arborline.server.live.Live;
import arborline.server.support.Bulk;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Stores inspected lines, a batch in a transaction, each behind the checkpoint of its file. A
 * worker that stalled and wakes up after another took over meets a checkpoint that has moved, and
 * stores nothing.
 */
@Component
class LineStore {

  private final LineFindings findings;
  private final Bulk bulk;
  private final Live live;
  private final JdbcClient jdbc;
  private final TransactionTemplate transaction;

  LineStore(
      LineFindings findings,
      Bulk bulk,
      Live live,
      JdbcClient jdbc,
      TransactionTemplate transaction) {
    this.findings = findings;
    this.bulk = bulk;
    this.live = live;
    this.jdbc = jdbc;
    this.transaction = transaction;
  }

  /** Somebody else reads this delivery now. */
  static final class SupersededException extends RuntimeException {
    private static final long serialVersionUID = 1L;
  }

  /**
   * Stores a batch.
   *
   * @param before how many lines of the file were stored before it
   * @throws SupersededException where that is no longer so
   */
  void store(Document document, long before, LineBatch batch) {
    transaction.executeWithoutResult(status -> {
      advance(document, before, batch.rows().size());
      bulk.insert(DeliveryLine.TARGET, batch.rows());
      findings.insert(document.deliveryId, batch.findings());
      jdbc.sql(
              """
              update delivery set lines_read = lines_read + ?, bytes_read = bytes_read + ?
              where id = ?\
              """)
          .params(batch.rows().size(), batch.bytes(), document.deliveryId)
          .update();
      live.say("delivery", document.deliveryId, "reading");
    });
  }

  private void advance(Document document, long before, int count) {
    int moved =
        jdbc.sql(
                """
                update delivery_document set lines_read = lines_read + ?
                where delivery_id = ? and file_no = ? and reading_no = ? and lines_read = ?
                  and not finished\
                """)
            .params(count, document.deliveryId, document.fileNo, document.readingNo, before)
            .update();
    if (moved == 0) {
      throw new SupersededException();
    }
  }

  /**
   * Closes a file.
   *
   * @param problem why it could not be read to its end; null where it was
   */
  void finish(Document document, @Nullable String problem) {
    transaction.executeWithoutResult(status -> {
      int closed =
          jdbc.sql(
                  """
                  update delivery_document set finished = true, problem = ?
                  where delivery_id = ? and file_no = ? and reading_no = ? and not finished\
                  """)
              .params(
                  problem == null || problem.length() <= 500 ? problem : problem.substring(0, 500),
                  document.deliveryId,
                  document.fileNo,
                  document.readingNo)
              .update();
      if (closed == 0) {
        throw new SupersededException();
      }
    });
  }
}
