package arborline.server.live;

import arborline.server.support.Background;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/** Says that something changed; heard by every open page once the transaction is committed. */
@Component
public class Live {

  private static final Duration KEPT = Duration.ofHours(1);

  private final JdbcClient jdbc;
  private final JdbcClient atOnce;
  private final Clock clock;

  Live(JdbcClient jdbc, @Background JdbcClient atOnce, Clock clock) {
    this.jdbc = jdbc;
    this.atOnce = atOnce;
    this.clock = clock;
  }

  /**
   * Says that a subject changed.
   *
   * @param topic {@code delivery}, {@code library}, {@code tool}, {@code machine}, {@code trail}
   */
  public void say(String topic, Object subject, String detail) {
    write(jdbc, topic, subject, detail);
  }

  /** As {@link #say}, heard at once even while the running transaction is not committed. */
  public void sayNow(String topic, Object subject, String detail) {
    write(atOnce, topic, subject, detail);
  }

  private void write(JdbcClient to, String topic, Object subject, String detail) {
    to.sql("insert into live_event (topic, subject, detail, happened_at) values (?, ?, ?, ?)")
        .params(topic, subject.toString(), detail, Timestamp.from(Instant.now(clock)))
        .update();
  }

  @Scheduled(fixedDelay = 600_000)
  void forgetOld() {
    jdbc.sql("delete from live_event where happened_at < ?")
        .param(Timestamp.from(Instant.now(clock).minus(KEPT)))
        .update();
  }
}
