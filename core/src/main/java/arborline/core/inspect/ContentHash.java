package arborline.core.inspect;

import arborline.core.tool.Tool;
import arborline.core.tool.Value;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;

/**
 * Fingerprint of what a tool is, its code apart: equal fingerprint means equal name, class and
 * authored values. Whether a value was confirmed does not count.
 */
public final class ContentHash {

  private static final ThreadLocal<MessageDigest> SHA256 =
      ThreadLocal.withInitial(ContentHash::digest);

  private ContentHash() {}

  /** SHA-256 as 64 hexadecimal digits. */
  public static String of(Tool tool) {
    StringBuilder content = new StringBuilder(256);
    content.append(tool.name()).append('\n').append(tool.toolClass()).append('\n');
    tool.values().forEach((symbol, value) -> value(symbol, value, content));
    return HexFormat.of()
        .formatHex(SHA256.get().digest(content.toString().getBytes(StandardCharsets.UTF_8)));
  }

  private static void value(String symbol, Value value, StringBuilder content) {
    content.append(symbol).append('=').append(value.text());
    if (value instanceof Value.Measure measure) {
      content.append(' ').append(measure.quantity().unit().code());
    }
    content.append('\n');
  }

  private static MessageDigest digest() {
    try {
      return MessageDigest.getInstance("SHA-256");
    } catch (NoSuchAlgorithmException impossible) {
      throw new IllegalStateException(impossible);
    }
  }
}
