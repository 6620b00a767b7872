package arborline.server.tool;

import arborline.core.library.Codes;
import arborline.server.account.Actor;
import arborline.server.support.Refusal;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.Collection;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/**
 * Codes that no tool carries but that are not free: former ones for ever, reserved ones a while.
 */
@Component
@Transactional(propagation = Propagation.MANDATORY)
public class HeldCodes {

  /** How long a reservation stands. */
  static final Duration PROMISE = Duration.ofMinutes(30);

  private final JdbcClient jdbc;
  private final Clock clock;

  HeldCodes(JdbcClient jdbc, Clock clock) {
    this.jdbc = jdbc;
    this.clock = clock;
  }

  private record Held(
      String codeKey,
      String code,
      @Nullable Long toolId,
      String holder,
      @Nullable LocalDateTime until,
      @Nullable String nowCode) {

    String why() {
      return toolId == null
          ? "code %s is reserved by %s until %s UTC"
              .formatted(code, holder, until.toLocalTime().withNano(0))
          : "code %s was the code of %s before; a code is never given twice"
              .formatted(code, Optional.ofNullable(nowCode).orElse("another tool"));
    }
  }

  /** Why codes are not free for whoever acts, by code key; free ones are left out. */
  public Map<String, String> why(Collection<String> keys) {
    Map<String, String> why = new HashMap<>();
    if (keys.isEmpty()) {
      return why;
    }
    jdbc
        .sql(
            """
            select h.code_key, h.code, h.tool_id, h.holder, h.until, t.code as now_code
            from held_code h left join tool t on t.id = h.tool_id
            where h.code_key in (:keys) and (h.until is null or h.until > :now)\
            """)
        .param("keys", keys)
        .param("now", now())
        .query(Held.class)
        .list()
        .stream()
        .filter(held -> held.toolId() != null || !held.holder().equals(Actor.name()))
        .forEach(held -> why.put(held.codeKey(), held.why()));
    return why;
  }

  /** Refuses a code that is not free for whoever acts, and ends the own reservation of it. */
  void take(String code) {
    String key = Codes.key(code);
    Optional.ofNullable(why(java.util.List.of(key)).get(key))
        .ifPresent(why -> {
          throw Refusal.conflict(why);
        });
    jdbc.sql("delete from held_code where code_key = ? and tool_id is null").param(key).update();
  }

  /**
   * Reserves a code for whoever acts.
   *
   * @return until when; empty where somebody was faster
   */
  public Optional<Instant> reserve(String code) {
    String key = Codes.key(code);
    Instant until = Instant.now(clock).plus(PROMISE);
    LocalDateTime end = LocalDateTime.ofInstant(until, ZoneOffset.UTC);
    int prolonged =
        jdbc.sql(
                "update held_code set holder = ?, until = ?"
                    + " where code_key = ? and tool_id is null and (until <= ? or holder = ?)")
            .params(Actor.name(), end, key, now(), Actor.name())
            .update();
    int made =
        prolonged > 0
            ? prolonged
            : jdbc.sql(
                    "insert ignore into held_code (code_key, code, holder, until) values (?, ?, ?, ?)")
                .params(key, code, Actor.name(), end)
                .update();
    return made > 0 ? Optional.of(until) : Optional.empty();
  }

  /** A tool gave up a code: it stays the tool's for ever. */
  void former(String code, long toolId) {
    jdbc.sql("insert into held_code (code_key, code, tool_id, holder) values (?, ?, ?, ?)")
        .params(Codes.key(code), code, toolId, Actor.name())
        .update();
  }

  /** A tool got a former code of its own back. */
  void again(String code, long toolId) {
    jdbc.sql("delete from held_code where code_key = ? and tool_id = ?")
        .params(Codes.key(code), toolId)
        .update();
  }

  private LocalDateTime now() {
    return LocalDateTime.ofInstant(Instant.now(clock), ZoneOffset.UTC);
  }
}
