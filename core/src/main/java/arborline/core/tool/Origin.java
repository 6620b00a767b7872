package arborline.core.tool;

import java.util.List;

/**
 * Where a value comes from that nobody wrote down.
 *
 * @param kind how it came about
 * @param from symbols that it follows; empty for a trade default
 */
public record Origin(Kind kind, List<String> from) {

  /** How a value came about. */
  public enum Kind {
    /** Spelt by a designation. */
    DESIGNATION,
    /** Follows from other values. */
    IMPLIED,
    /** What is usual in the trade. */
    TRADE_DEFAULT
  }

  public Origin {
    from = List.copyOf(from);
  }

  public static Origin designation(String symbol) {
    return new Origin(Kind.DESIGNATION, List.of(symbol));
  }

  public static Origin implied(String... symbols) {
    return new Origin(Kind.IMPLIED, List.of(symbols));
  }

  public static Origin tradeDefault() {
    return new Origin(Kind.TRADE_DEFAULT, List.of());
  }

  /** The second half of a sentence: {@code follows from LCF}. */
  public String text() {
    return switch (kind) {
      case DESIGNATION -> "is read from the designation " + from.getFirst();
      case IMPLIED -> "follows from " + String.join(" and ", from);
      case TRADE_DEFAULT -> "is the trade default";
    };
  }
}
