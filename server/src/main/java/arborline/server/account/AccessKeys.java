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
  private final Cache<String, Optional<Role>> recent =
      Caffeine.newBuilder().maximumSize(1_000).expireAfterWrite(REMEMBERED).build();

  AccessKeys(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  Optional<Role> role(String key) {
    return recent.get(hash(key), this::stored);
  }

  private Optional<Role> stored(String hash) {
    return jdbc.sql("select role from access_key where key_hash = ?")
        .param(hash)
        .query(String.class)
        .optional()
        .map(Role::valueOf);
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
