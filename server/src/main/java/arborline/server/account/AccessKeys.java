package arborline.server.account;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Looks up access keys; only their SHA-256 is stored. */
@Component
class AccessKeys {

  private final JdbcClient jdbc;

  AccessKeys(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  Optional<Role> role(String key) {
    return jdbc.sql("select role from access_key where key_hash = ?")
        .param(hash(key))
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
