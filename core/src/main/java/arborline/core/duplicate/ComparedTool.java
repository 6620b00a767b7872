package arborline.core.duplicate;

import arborline.core.tool.Completed;
import arborline.core.tool.Tool;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/**
 * What of a tool is compared with others, kept small so that a whole shop is at hand.
 *
 * @param spelling the code however it is spelt
 * @param vendor who sells it; empty where nobody is known
 * @param vendorItem by what the vendor calls it; empty where nobody is known
 * @param sizes of the shape, in millionths of their units, sorted by {@link Size#symbol}
 * @param words that tell tools of one shape apart, by symbol
 */
public record ComparedTool(
    long id,
    String spelling,
    String toolClass,
    String name,
    String vendor,
    String vendorItem,
    List<Size> sizes,
    Map<String, String> words) {

  /** Words of which another value is another tool, though it has the same shape. */
  static final List<String> TELLING = List.of("HAND", "COATING", "GRADE", "SUBSTRATE", "MIID");

  private static final BigDecimal LARGEST = new BigDecimal("1000000");

  /** A size of the shape. */
  public record Size(String symbol, Tolerance.Kind kind, long millionths) {}

  public ComparedTool {
    sizes = List.copyOf(sizes);
    words = Map.copyOf(words);
  }

  /**
   * A tool with all that its values imply.
   *
   * @param vendor empty where nobody is known
   * @param vendorItem empty where nobody is known
   */
  public static ComparedTool of(long id, Tool written, String vendor, String vendorItem) {
    Tool tool = Completed.of(written).tool();
    List<Size> sizes = new ArrayList<>();
    Map<String, String> words = new TreeMap<>();
    tool.values()
        .keySet()
        .forEach(symbol -> {
          Optional<Tolerance.Kind> kind = Tolerance.kind(symbol);
          BigDecimal size = kind.isEmpty() ? null : tool.size(symbol);
          if (size != null && size.abs().compareTo(LARGEST) < 0) {
            sizes.add(new Size(symbol.intern(), kind.get(), Tolerance.millionths(size)));
          }
        });
    TELLING.forEach(symbol ->
        tool.word(symbol)
            .map(ComparedTool::key)
            .filter(text -> !text.isEmpty())
            .ifPresent(text -> words.put(symbol, text)));
    return new ComparedTool(
        id,
        CodeSpelling.of(written.code()),
        written.toolClass(),
        key(written.name()),
        vendor,
        vendorItem,
        sizes,
        words);
  }

  private static String key(String text) {
    return text.strip().toUpperCase(Locale.ROOT).replaceAll("\\s+", " ");
  }
}
