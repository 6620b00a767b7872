package arborline.server.account;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Arrays;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Keys by which scripts come in; only their SHA-256 is stored. */
@Component
class AccessKeys {

  /** How long a key that was taken back on another server may still let somebody in. */
  private static final Duration REMEMBERED = Duration.ofSeconds(5);

  private final JdbcClient jdbc;
  private final Clock clock;

  /**
   * A key that lets somebody in.
   *
   * @param account whose it is; empty for one that stands for a role
   * @param may what it may be used for
   */
  record Granted(long id, Role role, Optional<SignedIn> account, Collection<Permission> may) {}

  /**
   * A key as its owner sees it.
   *
   * @param scopes what it may do besides looking
   */
  record KeyHead(
      long id, String name, List<Permission> scopes, Instant createdAt, @Nullable Instant usedAt) {}

  private final Cache<String, Optional<Granted>> recent =
      Caffeine.newBuilder().maximumSize(1_000).expireAfterWrite(REMEMBERED).build();

  AccessKeys(JdbcClient jdbc, Clock clock) {
    this.jdbc = jdbc;
    this.clock = clock;
  }

  Optional<Granted> granted(String key) {
    return recent.get(Secrets.hash(key), this::stored);
  }

  private Optional<Granted> stored(String hash) {
    Optional<Granted> granted =
        jdbc.sql(
                """
                select k.id, coalesce(a.role, k.role) as role, a.id as account, a.name as owner,
                  k.name, k.scopes
                from access_key k left join account a on a.id = k.account_id
                where k.key_hash = ? and (k.account_id is null or a.disabled_at is null)\
                """)
            .param(hash)
            .query((row, index) -> {
              Role role = Role.valueOf(row.getString("role"));
              long account = row.getLong("account");
              Optional<SignedIn> owner =
                  row.wasNull()
                      ? Optional.empty()
                      : Optional.of(
                          new SignedIn(
                              "%s (key %s)"
                                  .formatted(row.getString("owner"), row.getString("name")),
                              account));
              return new Granted(
                  row.getLong("id"), role, owner, may(role, row.getString("scopes")));
            })
            .optional();
    granted.ifPresent(key ->
        jdbc.sql("update access_key set used_at = ? where id = ?")
            .params(Timestamp.from(Instant.now(clock)), key.id())
            .update());
    return granted;
  }

  private static Collection<Permission> may(Role role, @Nullable String scopes) {
    return scopes == null ? role.permissions() : scopes(scopes);
  }

  private static List<Permission> scopes(String words) {
    return words.isBlank()
        ? List.of()
        : Arrays.stream(words.split(" ")).map(Permission::valueOf).sorted().toList();
  }

  List<KeyHead> of(long account) {
    return jdbc.sql(
            """
            select id, name, coalesce(scopes, '') as scopes, created_at, used_at from access_key
            where account_id = ? order by name, id\
            """)
        .param(account)
        .query((row, index) ->
            new KeyHead(
                row.getLong("id"),
                row.getString("name"),
                scopes(row.getString("scopes")),
                row.getTimestamp("created_at").toInstant(),
                Optional.ofNullable(row.getTimestamp("used_at"))
                    .map(Timestamp::toInstant)
                    .orElse(null)))
        .list();
  }

  /** How many keys accounts have, by account. */
  Map<Long, Integer> counts() {
    Map<Long, Integer> counts = new HashMap<>();
    jdbc.sql(
            """
            select account_id, count(*) from access_key where account_id is not null
            group by account_id\
            """)
        .query(row -> {
          counts.put(row.getLong(1), row.getInt(2));
        });
    return counts;
  }

  /** A new key; the text that is returned is stored nowhere. */
  String add(Account account, String name, Collection<Permission> scopes) {
    String secret = Secrets.fresh();
    jdbc.sql(
            """
            insert into access_key (key_hash, role, created_at, account_id, name, scopes)
            values (?, ?, ?, ?, ?, ?)\
            """)
        .params(
            Secrets.hash(secret),
            account.role.name(),
            Timestamp.from(Instant.now(clock)),
            account.id,
            name,
            scopes.stream().sorted().map(Permission::name).collect(Collectors.joining(" ")))
        .update();
    return secret;
  }

  /** Takes a key of an account back; false where there is none. */
  boolean remove(long account, long id) {
    int removed =
        jdbc.sql("delete from access_key where id = ? and account_id = ?")
            .params(id, account)
            .update();
    forget();
    return removed > 0;
  }

  /** Keys are looked up again at once. */
  void forget() {
    recent.invalidateAll();
  }
}
