package arborline.server.account;

import arborline.server.support.Refusal;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import org.springframework.http.HttpStatus;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Slows down guessing: after five failures of a name or twenty of an address, fifteen minutes. */
@Component
class SignInGuard {

  private static final int PER_NAME = 5;
  private static final int PER_ADDRESS = 20;
  private static final Duration PERIOD = Duration.ofMinutes(15);

  private final JdbcClient jdbc;
  private final Clock clock;

  SignInGuard(JdbcClient jdbc, Clock clock) {
    this.jdbc = jdbc;
    this.clock = clock;
  }

  void check(String nameKey, String address) {
    if (failures("name_key", nameKey) >= PER_NAME || failures("address", address) >= PER_ADDRESS) {
      throw Refusal.of(
          HttpStatus.TOO_MANY_REQUESTS,
          "too many failed attempts; wait %d minutes".formatted(PERIOD.toMinutes()));
    }
  }

  private int failures(String column, String value) {
    return jdbc.sql(
            "select count(*) from sign_in_failure where failed_at > ? and " + column + " = ?")
        .param(Timestamp.from(Instant.now(clock).minus(PERIOD)))
        .param(value)
        .query(Integer.class)
        .single();
  }

  void failed(String nameKey, String address) {
    jdbc.sql("insert into sign_in_failure (name_key, address, failed_at) values (?, ?, ?)")
        .params(nameKey, address, Timestamp.from(Instant.now(clock)))
        .update();
  }

  void succeeded(String nameKey) {
    jdbc.sql("delete from sign_in_failure where name_key = ?").param(nameKey).update();
  }
}
