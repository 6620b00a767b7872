package arborline.server.table;

import arborline.server.support.Refusal;
import jakarta.annotation.PreDestroy;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.UUID;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.ScheduledFuture;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/**
 * Who may write to a control: one at a time, whichever server does it. A claim is kept alive as
 * long as its writing lasts; that of a server that died lapses soon. Every statement stands for
 * itself, outside of transactions: a writing speaks to a control between them.
 */
@Component
class WriteClaims {

  private static final Logger LOG = LoggerFactory.getLogger(WriteClaims.class);

  static final Duration LAPSES = Duration.ofSeconds(20);
  private static final long KEPT_SECONDS = 5;

  private final JdbcClient jdbc;
  private final Clock clock;
  private final ScheduledExecutorService keeper =
      Executors.newSingleThreadScheduledExecutor(Thread.ofPlatform()
          .daemon()
          .name("write-claims")
          .factory());

  WriteClaims(JdbcClient jdbc, Clock clock) {
    this.jdbc = jdbc;
    this.clock = clock;
  }

  /** Keeps everybody else from writing to a control; refused while somebody does. */
  Claim take(String machineId) {
    String holder = UUID.randomUUID().toString();
    Instant now = Instant.now(clock);
    Timestamp until = Timestamp.from(now.plus(LAPSES));
    int taken =
        jdbc.sql("update table_claim set holder = ?, until = ? where machine_id = ? and until <= ?")
            .params(holder, until, machineId, Timestamp.from(now))
            .update();
    int made =
        taken > 0
            ? taken
            : jdbc.sql(
                    "insert ignore into table_claim (machine_id, holder, until) values (?, ?, ?)")
                .params(machineId, holder, until)
                .update();
    if (made == 0) {
      throw Refusal.conflict(
          "somebody is writing to this control just now, or a writing was cut off less than %d"
                  .formatted(LAPSES.toSeconds())
              + " seconds ago; wait, then compare again");
    }
    return new Claim(machineId, holder);
  }

  @PreDestroy
  void stop() {
    keeper.shutdownNow();
  }

  /** The right to write to a control, until it is closed or this server dies. */
  final class Claim implements AutoCloseable {

    private final String machineId;
    private final String holder;
    private final ScheduledFuture<?> kept;

    private Claim(String machineId, String holder) {
      this.machineId = machineId;
      this.holder = holder;
      this.kept =
          keeper.scheduleWithFixedDelay(this::keep, KEPT_SECONDS, KEPT_SECONDS, TimeUnit.SECONDS);
    }

    private void keep() {
      try {
        held();
      } catch (RuntimeException failed) {
        LOG.warn("the claim to write to the control of {} was not kept", machineId, failed);
      }
    }

    /** True where it is still ours, and for a while longer; false where it lapsed and was taken. */
    boolean held() {
      return jdbc.sql("update table_claim set until = ? where machine_id = ? and holder = ?")
              .params(Timestamp.from(Instant.now(clock).plus(LAPSES)), machineId, holder)
              .update()
          > 0;
    }

    @Override
    public void close() {
      kept.cancel(false);
      jdbc.sql("delete from table_claim where machine_id = ? and holder = ?")
          .params(machineId, holder)
          .update();
    }
  }
}
