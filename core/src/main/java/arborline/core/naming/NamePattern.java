package arborline.core.naming;

import arborline.core.tool.Tool;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.regex.Pattern;

/**
 * A pattern from which codes or names are made: text with fields in braces, such as {@code EM{DC
 * 2.1}[-R{RE}]-{NO 3}}. A field is the symbol of a property, {@code CLASS}, {@code KIND} or {@code
 * NO}; then perhaps the unit, then perhaps the digits before and after the point. What stands in
 * square brackets appears only where all its properties have values. The syntax is described in
 * docs/naming.md.
 */
public final class NamePattern {

  /** Symbol of the running number. */
  public static final String RUNNING = "NO";

  private final List<Piece> pieces;

  private NamePattern(List<Piece> pieces) {
    this.pieces = List.copyOf(pieces);
  }

  /**
   * A pattern, or why it is none.
   *
   * @param fault place, reason and remedy
   */
  public record Read(Optional<NamePattern> pattern, Optional<String> fault) {}

  /**
   * What a pattern makes of a tool.
   *
   * @param text empty where something is missing
   * @param missing symbols that the tool lacks
   */
  public record Filled(Optional<String> text, List<String> missing) {}

  public static Read read(String text) {
    try {
      return new Read(
          Optional.of(new NamePattern(new PatternReader(text).read())), Optional.empty());
    } catch (PatternReader.Unreadable fault) {
      return new Read(Optional.empty(), Optional.of(fault.getMessage()));
    }
  }

  /** True where the pattern counts. */
  public boolean running() {
    return pieces.stream().anyMatch(Piece.Running.class::isInstance);
  }

  /** Fills the pattern, with a running number where it has one. */
  public Filled fill(Tool tool, int number) {
    List<String> missing = new ArrayList<>();
    StringBuilder text = new StringBuilder();
    write(pieces, tool, OptionalInt.of(number), text, missing);
    return new Filled(
        missing.isEmpty() ? Optional.of(text.toString().strip()) : Optional.empty(), missing);
  }

  /** True where a text is what the pattern makes of the tool, whatever its running number. */
  public boolean fits(Tool tool, String actual) {
    List<String> missing = new ArrayList<>();
    StringBuilder expression = new StringBuilder();
    write(pieces, tool, OptionalInt.empty(), expression, missing);
    return missing.isEmpty() && Pattern.matches(expression.toString().strip(), actual);
  }

  /** Writes a text; without a number, a regular expression for any. */
  private static void write(
      List<Piece> pieces, Tool tool, OptionalInt number, StringBuilder to, List<String> missing) {
    for (Piece piece : pieces) {
      switch (piece) {
        case Piece.Literal literal -> to.append(plain(literal.text(), number));
        case Piece.Running running ->
            to.append(
                number.isPresent()
                    ? padded(number.getAsInt(), running.digits())
                    : "\\d{%d,9}".formatted(running.digits()));
        case Piece.Field field ->
            FieldText.of(field, tool)
                .map(text -> to.isEmpty() ? capital(text) : text)
                .ifPresentOrElse(
                    text -> to.append(plain(text, number)), () -> missing.add(field.symbol()));
        case Piece.Group group -> {
          StringBuilder inner = new StringBuilder();
          List<String> absent = new ArrayList<>();
          write(group.pieces(), tool, number, inner, absent);
          if (absent.isEmpty()) {
            to.append(inner);
          }
        }
      }
    }
  }

  private static String capital(String text) {
    return Character.toUpperCase(text.charAt(0)) + text.substring(1);
  }

  private static String plain(String text, OptionalInt number) {
    return number.isPresent() ? text : Pattern.quote(text);
  }

  private static String padded(int number, int digits) {
    String text = Integer.toString(number);
    return "0".repeat(Math.max(0, digits - text.length())) + text;
  }
}
