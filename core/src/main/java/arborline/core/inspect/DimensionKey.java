package arborline.core.inspect;

import arborline.core.tool.Tool;
import arborline.core.tool.Value;
import java.math.BigDecimal;
import java.math.RoundingMode;
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
    long key = mixed(tool.toolClass().hashCode());
    int sizes = 0;
    for (Map.Entry<String, Value> entry : tool.values().entrySet()) {
      BigDecimal size = tool.size(entry.getKey());
      sizes += size == null ? 0 : 1;
      long value = size == null ? text(entry.getValue().text()) : micrometres(size);
      key = mixed(key ^ mixed(text(entry.getKey()) + mixed(value)));
    }
    return sizes < LEAST_SIZES || tool.toolClass().isEmpty()
        ? OptionalLong.empty()
        : OptionalLong.of(key);
  }

  private static long micrometres(BigDecimal size) {
    return size.setScale(DECIMALS, RoundingMode.HALF_UP).unscaledValue().longValue();
  }

  private static long text(String text) {
    long hash = text.length();
    for (int i = 0; i < text.length(); i++) {
      hash = mixed(hash + Character.toUpperCase(text.charAt(i)));
    }
    return hash;
  }

  /** Each bit of what comes out depends on each that went in. Source: SplitMix64. */
  private static long mixed(long bits) {
    long start = bits + 0x9E3779B97F4A7C15L;
    long once = (start ^ start >>> 30) * 0xBF58476D1CE4E5B9L;
    long twice = (once ^ once >>> 27) * 0x94D049BB133111EBL;
    return twice ^ twice >>> 31;
  }
}
