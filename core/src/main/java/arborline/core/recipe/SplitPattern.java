package arborline.core.recipe;

import arborline.core.exchange.Column;
import arborline.core.exchange.RawItem;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * How a cell is taken apart: {@code D{DC}xL{LU}} takes 10 as DC and 22 as LU out of {@code
 * D10xL22}. Letters match in either case, blanks may be missing.
 */
public final class SplitPattern {

  private static final Pattern PIECE = Pattern.compile("\\{([^{}]*)\\}");
  private static final int LONGEST = 120;
  private static final int MOST = 10;

  private final Pattern pattern;
  private final List<String> symbols;

  private SplitPattern(Pattern pattern, List<String> symbols) {
    this.pattern = pattern;
    this.symbols = List.copyOf(symbols);
  }

  /**
   * Reads a pattern.
   *
   * @throws IllegalArgumentException with the reason, where it is none
   */
  public static SplitPattern of(String text) {
    if (text.length() > LONGEST) {
      throw new IllegalArgumentException("it is longer than %d characters".formatted(LONGEST));
    }
    List<String> symbols = new ArrayList<>();
    StringBuilder expression = new StringBuilder("\\s*");
    Matcher pieces = PIECE.matcher(text);
    int at = 0;
    while (pieces.find()) {
      if (pieces.start() == at && !symbols.isEmpty()) {
        throw new IllegalArgumentException("something must stand between two symbols");
      }
      literal(text.substring(at, pieces.start()), expression);
      symbols.add(symbol(pieces.group(1)));
      expression.append("(.+?)");
      at = pieces.end();
    }
    literal(text.substring(at), expression);
    if (symbols.isEmpty() || symbols.size() > MOST) {
      throw new IllegalArgumentException(
          "name each piece in braces, up to %d: D{DC}xL{LU}".formatted(MOST));
    }
    return new SplitPattern(
        Pattern.compile(
            expression + "\\s*", Pattern.CASE_INSENSITIVE | Pattern.UNICODE_CASE | Pattern.DOTALL),
        symbols);
  }

  /** Blanks around signs may be there or not. */
  private static void literal(String text, StringBuilder expression) {
    for (String word : text.split("\\s+")) {
      if (!word.isEmpty()) {
        expression.append("\\s*").append(Pattern.quote(word)).append("\\s*");
      }
    }
    if (text.isBlank() && !text.isEmpty()) {
      expression.append("\\s+");
    }
  }

  private static String symbol(String text) {
    Column column = Column.of(text.strip());
    boolean unknown =
        column.symbol().isEmpty()
            || RawItem.isNote(column.symbol())
                && !text.strip().toUpperCase(java.util.Locale.ROOT).startsWith(RawItem.NOTE);
    if (unknown) {
      throw new IllegalArgumentException("'%s' is not a symbol that we know".formatted(text));
    }
    return column.symbol();
  }

  /** The symbols of its pieces, in order. */
  public List<String> symbols() {
    return symbols;
  }

  /** The pieces of a cell; nothing where it is made otherwise. */
  public Optional<List<String>> pieces(String cell) {
    Matcher matcher = pattern.matcher(cell);
    if (!matcher.matches()) {
      return Optional.empty();
    }
    List<String> pieces = new ArrayList<>();
    for (int i = 1; i <= symbols.size(); i++) {
      pieces.add(matcher.group(i).strip());
    }
    return Optional.of(pieces);
  }
}
