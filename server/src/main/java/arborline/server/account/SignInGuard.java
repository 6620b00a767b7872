package arborline.server.account;

import arborline.server.support.Refusal;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import io.github.bucket4j.Bucket;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.concurrent.locks.Lock;
import java.util.concurrent.locks.ReentrantLock;
import java.util.function.Supplier;
import org.springframework.http.HttpStatus;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/**
 * Slows guessing down. Every attempt counts from its beginning, so that parallel ones do. An
 * account is guarded against addresses from which nobody signed in to it before; whoever knows the
 * password is not kept out of his usual address by guesses made elsewhere.
 */
@Component
class SignInGuard {

  private static final int PER_NAME_AND_ADDRESS = 5;
  private static final int PER_ADDRESS = 60;
  private static final int LINKS_PER_ADDRESS = 1_000;
  private static final int FEEDS_PER_ADDRESS = 10_000;
  private static final int PER_NAME_FROM_ELSEWHERE = 20;
  private static final Duration SHORT = Duration.ofMinutes(1);
  private static final Duration LONG = Duration.ofMinutes(15);
  private static final Duration REMEMBERED = Duration.ofDays(90);

  private final JdbcClient jdbc;
  private final Clock clock;
  private final Cache<String, Bucket> buckets =
      Caffeine.newBuilder().maximumSize(100_000).expireAfterAccess(LONG).build();

  private final Cache<String, Lock> turns =
      Caffeine.newBuilder().maximumSize(100_000).expireAfterAccess(LONG).build();

  SignInGuard(JdbcClient jdbc, Clock clock) {
    this.jdbc = jdbc;
    this.clock = clock;
  }

  /**
   * Lets attempts on one account from one address come one after the other, so that each knows how
   * the ones before it ended: many who know the password are all let in.
   */
  <T> T inTurn(String nameKey, String address, Supplier<T> attempt) {
    Lock turn = turns.get(nameKey + " " + address, pair -> new ReentrantLock());
    turn.lock();
    try {
      return attempt.get();
    } finally {
      turn.unlock();
    }
  }

  /** Counts an attempt; refused where there were too many. */
  void attempt(String nameKey, String address) {
    boolean allowed =
        bucket("pair " + nameKey + " " + address, PER_NAME_AND_ADDRESS, SHORT).tryConsume(1)
            && bucket("address " + address, PER_ADDRESS, LONG).tryConsume(1)
            && (usual(nameKey, address)
                || bucket("name " + nameKey, PER_NAME_FROM_ELSEWHERE, LONG).tryConsume(1));
    if (!allowed) {
      throw Refusal.of(
          HttpStatus.TOO_MANY_REQUESTS, "too many attempts; wait a minute and try again");
    }
  }

  /**
   * Counts a use of a link from an address; refused where there were far too many. What a link
   * carries cannot be guessed, so this only keeps somebody from asking without end.
   */
  void linkUsed(String address) {
    if (!bucket("link " + address, LINKS_PER_ADDRESS, LONG).tryConsume(1)) {
      throw Refusal.of(
          HttpStatus.TOO_MANY_REQUESTS, "too many attempts; wait a minute and try again");
    }
  }

  /** The same for what programs read from an address, again and again. */
  void feedUsed(String address) {
    if (!bucket("feed " + address, FEEDS_PER_ADDRESS, LONG).tryConsume(1)) {
      throw Refusal.of(
          HttpStatus.TOO_MANY_REQUESTS, "this is asked for too often; wait a minute and try again");
    }
  }

  private Bucket bucket(String name, int most, Duration period) {
    return buckets.get(
        name,
        key ->
            Bucket.builder()
                .addLimit(limit -> limit.capacity(most).refillGreedy(most, period))
                .build());
  }

  private boolean usual(String nameKey, String address) {
    return jdbc.sql(
                """
                select count(*) from usual_address
                where name_key = ? and address = ? and seen_at > ?\
                """)
            .params(nameKey, address, Timestamp.from(Instant.now(clock).minus(REMEMBERED)))
            .query(Integer.class)
            .single()
        > 0;
  }

  /** The password was right: the address is a usual one, and its attempts are forgotten. */
  void succeeded(String nameKey, String address) {
    jdbc.sql("replace into usual_address (name_key, address, seen_at) values (?, ?, ?)")
        .params(nameKey, address, Timestamp.from(Instant.now(clock)))
        .update();
    buckets.invalidate("pair " + nameKey + " " + address);
    bucket("address " + address, PER_ADDRESS, LONG).addTokens(1);
  }
}
