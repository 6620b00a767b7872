package arborline.server.account;

import java.sql.Timestamp;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Links by which somebody chooses the password of an account, each once. */
@Component
class Invitations {

  static final Duration LASTING = Duration.ofDays(7);

  private final JdbcClient jdbc;
  private final Clock clock;

  Invitations(JdbcClient jdbc, Clock clock) {
    this.jdbc = jdbc;
    this.clock = clock;
  }

  /**
   * The secret of a link, which is shown once.
   *
   * @param endsAt after which it does not work
   */
  record Invitation(String token, Instant endsAt) {}

  /** Another link; those before it do not work any more. */
  Invitation renew(long account) {
    end(account);
    Invitation fresh = new Invitation(Secrets.fresh(), Instant.now(clock).plus(LASTING));
    jdbc.sql("insert into invitation (token_hash, account_id, ends_at) values (?, ?, ?)")
        .params(Secrets.hash(fresh.token()), account, Timestamp.from(fresh.endsAt()))
        .update();
    return fresh;
  }

  void end(long account) {
    jdbc.sql("delete from invitation where account_id = ?").param(account).update();
  }

  /** Until when accounts can be entered by a link, by account. */
  Map<Long, Instant> open() {
    Map<Long, Instant> open = new HashMap<>();
    jdbc.sql(
            """
            select account_id, max(ends_at) from invitation where ends_at > ?
            group by account_id\
            """)
        .param(Timestamp.from(Instant.now(clock)))
        .query(row -> {
          open.put(row.getLong(1), row.getTimestamp(2).toInstant());
        });
    return open;
  }

  /** The account of a link that still works. */
  Optional<Long> account(String token) {
    return jdbc.sql("select account_id from invitation where token_hash = ? and ends_at > ?")
        .params(Secrets.hash(token), Timestamp.from(Instant.now(clock)))
        .query(Long.class)
        .optional();
  }

  /** Uses a link up; false where somebody else did meanwhile. */
  boolean use(String token) {
    return jdbc.sql("delete from invitation where token_hash = ?")
            .param(Secrets.hash(token))
            .update()
        > 0;
  }
}
