package arborline.core.inspect;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;

/** SHA-256 of texts. */
final class Sha256 {

  private static final ThreadLocal<MessageDigest> DIGEST = ThreadLocal.withInitial(Sha256::digest);

  private Sha256() {}

  /** The 32 bytes of a text in UTF-8. */
  static byte[] of(CharSequence text) {
    return DIGEST.get().digest(text.toString().getBytes(StandardCharsets.UTF_8));
  }

  private static MessageDigest digest() {
    try {
      return MessageDigest.getInstance("SHA-256");
    } catch (NoSuchAlgorithmException impossible) {
      throw new IllegalStateException(impossible);
    }
  }
}
