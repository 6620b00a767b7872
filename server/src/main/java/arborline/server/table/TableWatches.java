package arborline.server.table;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** When controls were asked last, and since when one does not answer. */
@Component
class TableWatches {

  private static final int LONGEST = 500;

  private final JdbcClient jdbc;
  private final Clock clock;

  TableWatches(JdbcClient jdbc, Clock clock) {
    this.jdbc = jdbc;
    this.clock = clock;
  }

  /**
   * How a control answers.
   *
   * @param silentSince null while it answers
   * @param problem why it does not; null while it does
   * @param clockAheadSeconds how far its clock is ahead of ours; null where it says no time
   */
  record WatchView(
      Instant askedAt,
      @Nullable Instant silentSince,
      @Nullable String problem,
      @Nullable Long clockAheadSeconds) {}

  /** Keeps everybody else from keeping a reading of a control until the transaction ends. */
  @Transactional(propagation = Propagation.MANDATORY)
  void lock(String machineId) {
    jdbc.sql(
            """
            insert into table_watch (machine_id) values (?)
            on duplicate key update machine_id = values(machine_id)\
            """)
        .param(machineId)
        .update();
  }

  /** The control answered. True where it had not before. */
  @Transactional
  boolean answered(String machineId) {
    lock(machineId);
    boolean silent = of(machineId).filter(watch -> watch.silentSince() != null).isPresent();
    Timestamp now = Timestamp.from(Instant.now(clock));
    jdbc.sql(
            """
            update table_watch set asked_at = ?, answered_at = ?, silent_since = null, problem = null
            where machine_id = ?\
            """)
        .params(now, now, machineId)
        .update();
    return silent;
  }

  /** What time the control says it is; empty where it says none. */
  @Transactional
  void clock(String machineId, Optional<Instant> stated) {
    lock(machineId);
    Long ahead =
        stated.map(time -> Duration.between(Instant.now(clock), time).toSeconds()).orElse(null);
    jdbc.sql("update table_watch set clock_ahead_seconds = ? where machine_id = ?")
        .params(ahead, machineId)
        .update();
  }

  /** The control did not answer. True where it had before, or says something else now. */
  @Transactional
  boolean silent(String machineId, String problem) {
    lock(machineId);
    String cut = problem.length() > LONGEST ? problem.substring(0, LONGEST) : problem;
    boolean known = of(machineId).filter(watch -> cut.equals(watch.problem())).isPresent();
    Timestamp now = Timestamp.from(Instant.now(clock));
    jdbc.sql(
            """
            update table_watch set asked_at = ?, silent_since = coalesce(silent_since, ?),
              problem = ? where machine_id = ?\
            """)
        .params(now, now, cut, machineId)
        .update();
    return !known;
  }

  /** How a control answers; empty where it was never asked. */
  Optional<WatchView> of(String machineId) {
    return jdbc.sql(
            """
            select asked_at, silent_since, problem, clock_ahead_seconds from table_watch
            where machine_id = ? and asked_at is not null\
            """)
        .param(machineId)
        .query((row, index) -> watch(row))
        .optional();
  }

  private static WatchView watch(ResultSet row) throws SQLException {
    Timestamp silent = row.getTimestamp("silent_since");
    return new WatchView(
        row.getTimestamp("asked_at").toInstant(),
        silent == null ? null : silent.toInstant(),
        row.getString("problem"),
        row.getObject("clock_ahead_seconds", Long.class));
  }
}
