package arborline.server.delivery;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Clears what deliveries brought, some thousand rows in a transaction: no lock is held for long,
 * and after a crash it goes on with what is left.
 */
@Component
public class Clearing {

  /** How long a delivery that was put away can be brought back. */
  static final Duration KEPT = Duration.ofDays(1);

  private static final int CHUNK = 5000;

  private final DeliveryRepository deliveries;
  private final DocumentRepository documents;
  private final StoredFile files;
  private final JdbcClient jdbc;
  private final Clock clock;
  private final TransactionTemplate transaction;

  Clearing(
      DeliveryRepository deliveries,
      DocumentRepository documents,
      StoredFile files,
      JdbcClient jdbc,
      Clock clock,
      TransactionTemplate transaction) {
    this.deliveries = deliveries;
    this.documents = documents;
    this.files = files;
    this.jdbc = jdbc;
    this.clock = clock;
    this.transaction = transaction;
  }

  /** True once a delivery that was put away can no longer be brought back. */
  public boolean due(Delivery delivery) {
    return delivery.putAwayAt != null
        && !Instant.now(clock).isBefore(delivery.putAwayAt.plus(KEPT));
  }

  /** Clears a delivery that was put away long enough ago; else does nothing. */
  void run(long deliveryId) {
    if (deliveries.putAway(deliveryId).filter(this::due).isEmpty()) {
      return;
    }
    lines(deliveryId);
    transaction.executeWithoutResult(status -> {
      files.delete(deliveryId);
      documents.forget(deliveryId);
      deliveries.putAway(deliveryId).ifPresent(deliveries::delete);
    });
  }

  /** Clears all lines of a delivery; its files stay. */
  public void lines(long deliveryId) {
    emptied("delete from line_finding where delivery_id = ? limit ?", deliveryId);
    emptied("delete from delivery_line_before where delivery_id = ? limit ?", deliveryId);
    emptied("delete from delivery_line where delivery_id = ? limit ?", deliveryId);
    emptied("delete from vendor_package where delivery_id = ? limit ?", deliveryId);
    transaction.executeWithoutResult(status -> restart(deliveryId));
  }

  /** Every file begins again; a worker that still reads the last time meets another number. */
  private void restart(long deliveryId) {
    jdbc.sql("update delivery set lines_read = 0, bytes_read = 0 where id = ?")
        .param(deliveryId)
        .update();
    jdbc.sql(
            """
            update delivery_document set reading_no = reading_no + 1, lines_read = 0,
              finished = false, problem = null
            where delivery_id = ?\
            """)
        .param(deliveryId)
        .update();
  }

  private void emptied(String statement, long deliveryId) {
    int deleted;
    do {
      deleted =
          transaction.execute(status -> jdbc.sql(statement).params(deliveryId, CHUNK).update());
    } while (deleted == CHUNK);
  }
}
