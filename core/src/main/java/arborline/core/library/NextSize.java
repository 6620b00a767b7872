package arborline.core.library;

import arborline.core.quantity.Quantity;
import arborline.core.quantity.Unit;
import arborline.core.tool.Tool;
import arborline.core.tool.Value;
import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** The same tool one usual diameter larger. */
public final class NextSize {

  /** Diameters in mm that cutters are usually made in. Source: R 10 and R 20 of ISO 3, rounded. */
  private static final List<BigDecimal> SERIES =
      Stream.of(
              "0.5 0.8 1 1.5 2 2.5 3 4 5 6 8 10 12 14 16 18 20 25 32 40 50 63 80 100 125 160"
                  .split(" "))
          .map(BigDecimal::new)
          .toList();

  private static final BigDecimal TWO = new BigDecimal("2");

  private NextSize() {}

  /**
   * The tool one size up: whatever was as wide as the cutter or half as wide follows, to be
   * confirmed; code and name carry the new diameter where they carried the old one.
   *
   * @return nothing where it has no diameter or no usual one is larger
   */
  public static Optional<Tool> of(Tool tool) {
    String symbol = tool.size("DC") == null ? "DCX" : "DC";
    BigDecimal from = tool.size(symbol);
    return from == null
        ? Optional.empty()
        : SERIES.stream()
            .filter(size -> size.compareTo(from) > 0)
            .findFirst()
            .map(to -> larger(tool, symbol, from, to));
  }

  private static Tool larger(Tool tool, String symbol, BigDecimal from, BigDecimal to) {
    Tool next = tool.with(symbol, size(to));
    if (same(tool, "DMM", from)) {
      next = next.with("DMM", size(to));
    }
    if (same(tool, "RE", from.divide(TWO))) {
      next = next.with("RE", size(to.divide(TWO)));
    }
    return next.named(
        code(tool.code(), plain(from), plain(to)), name(tool.name(), plain(from), plain(to)));
  }

  private static boolean same(Tool tool, String symbol, BigDecimal size) {
    BigDecimal stated = tool.size(symbol);
    return stated != null && stated.compareTo(size) == 0;
  }

  private static Value size(BigDecimal millimetres) {
    return new Value.Measure(Quantity.of(plain(millimetres), Unit.MILLIMETRE), true);
  }

  private static String plain(BigDecimal size) {
    return size.stripTrailingZeros().toPlainString();
  }

  /** A code with its diameter exchanged; empty where it carries none. */
  private static String code(String code, String from, String to) {
    for (String text : new String[] {"0".repeat(Math.max(0, 2 - from.length())) + from, from}) {
      int at = code.lastIndexOf(text);
      if (at >= 0) {
        String next = "0".repeat(Math.max(0, text.length() - to.length())) + to;
        return code.substring(0, at) + next + code.substring(at + text.length());
      }
    }
    return "";
  }

  private static String name(String name, String from, String to) {
    return name.replaceFirst(
        "(?<![\\d.])" + java.util.regex.Pattern.quote(from) + "(?![\\d.])", to);
  }
}
