package arborline.server.account;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Duration;
import java.util.HexFormat;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Looks up access keys; only their SHA-256 is stored. */
@Component
class AccessKeys {

  /** How long a key that was taken back may still let somebody in. */
  private static final Duration REMEMBERED = Duration.ofSeconds(5);

  private final JdbcClient jdbc;

  /** A key that lets somebody in. */
  record Granted(long id, Role role) {}

  private final Cache<String, Optional<Granted>> recent =
      Caffeine.newBuilder().maximumSize(1_000).expireAfterWrite(REMEMBERED).build();

  AccessKeys(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  Optional<Granted> granted(String key) {
    return recent.get(hash(key), this::stored);
  }

  private Optional<Granted> stored(String hash) {
    return jdbc.sql("select id, role from access_key where key_hash = ?")
        .param(hash)
        .query((row, index) -> new Granted(row.getLong("id"), Role.valueOf(row.getString("role"))))
        .optional();
  }

  static String hash(String key) {
    try {
      byte[] digest =
          MessageDigest.getInstance("SHA-256").digest(key.getBytes(StandardCharsets.UTF_8));
      return HexFormat.of().formatHex(digest);
    } catch (NoSuchAlgorithmException impossible) {
      throw new IllegalStateException(impossible);
    }
  }
}
