package arborline.core.inspect;

import arborline.core.tool.Tool;
import arborline.core.tool.Value;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.nio.ByteBuffer;
import java.util.Locale;
import java.util.Map;
import java.util.OptionalLong;

/**
 * Fingerprint of what a tool is like, whatever it is called: class and all values, lengths to the
 * micrometre and in whatever unit they are written. Two tools with one fingerprint are the same
 * tool under two codes, or two that only their names tell apart.
 */
public final class DimensionKey {

  /** Fewer sizes do not tell tools apart. */
  private static final int LEAST_SIZES = 3;

  private static final int DECIMALS = 3;

  private DimensionKey() {}

  /**
   * The fingerprint; empty for a tool that says too little.
   *
   * @param tool with everything that its values imply
   */
  public static OptionalLong of(Tool tool) {
    StringBuilder content = new StringBuilder(tool.toolClass());
    int sizes = 0;
    for (Map.Entry<String, Value> entry : tool.values().entrySet()) {
      BigDecimal size = tool.size(entry.getKey());
      sizes += size == null ? 0 : 1;
      content.append('\n').append(entry.getKey()).append('=');
      content.append(
          size == null ? entry.getValue().text().toUpperCase(Locale.ROOT) : rounded(size));
    }
    return sizes < LEAST_SIZES || tool.toolClass().isEmpty()
        ? OptionalLong.empty()
        : OptionalLong.of(ByteBuffer.wrap(Sha256.of(content)).getLong());
  }

  private static String rounded(BigDecimal size) {
    return size.setScale(DECIMALS, RoundingMode.HALF_UP).stripTrailingZeros().toPlainString();
  }
}
