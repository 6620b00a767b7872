package arborline.core.naming;

import arborline.core.property.Dictionary;
import arborline.core.quantity.Unit;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Reads the text of a naming pattern piece by piece. */
final class PatternReader {

  private static final Pattern FORM =
      Pattern.compile("([A-Za-z][A-Za-z0-9]*)(?:\\s+(mm|in))?(?:\\s+(\\d)(?:\\.(\\d))?)?");

  private final String text;
  private int at;

  PatternReader(String text) {
    this.text = text;
  }

  /** A pattern cannot be read; the message says where, why and what would do. */
  static final class Unreadable extends RuntimeException {
    private static final long serialVersionUID = 1L;

    Unreadable(int place, String reason) {
      super("character %d: %s".formatted(place + 1, reason), null, false, false);
    }
  }

  List<Piece> read() {
    return pieces(false);
  }

  private List<Piece> pieces(boolean inGroup) {
    int begin = at - 1;
    List<Piece> pieces = new ArrayList<>();
    StringBuilder literal = new StringBuilder();
    while (at < text.length()) {
      char next = text.charAt(at++);
      switch (next) {
        case '{' -> {
          close(literal, pieces);
          pieces.add(field());
        }
        case '[' -> {
          if (inGroup) {
            throw new Unreadable(
                at - 1, "an optional part cannot hold another; close it with ] first");
          }
          close(literal, pieces);
          pieces.add(new Piece.Group(pieces(true)));
        }
        case ']' -> {
          if (!inGroup) {
            throw new Unreadable(at - 1, "] closes nothing; write \\] for the sign itself");
          }
          close(literal, pieces);
          return pieces;
        }
        case '}' -> throw new Unreadable(at - 1, "} closes nothing; write \\} for the sign itself");
        case '\\' -> literal.append(escaped());
        default -> literal.append(next);
      }
    }
    if (inGroup) {
      throw new Unreadable(begin, "[ is never closed; end the optional part with ]");
    }
    close(literal, pieces);
    return pieces;
  }

  private static void close(StringBuilder literal, List<Piece> pieces) {
    if (!literal.isEmpty()) {
      pieces.add(new Piece.Literal(literal.toString()));
      literal.setLength(0);
    }
  }

  private char escaped() {
    if (at == text.length()) {
      throw new Unreadable(at - 1, "nothing follows \\; write \\\\ for the sign itself");
    }
    return text.charAt(at++);
  }

  private Piece field() {
    int begin = at;
    int end = text.indexOf('}', at);
    if (end < 0) {
      throw new Unreadable(begin - 1, "{ is never closed; end the field with }");
    }
    at = end + 1;
    Matcher form = FORM.matcher(text.substring(begin, end).strip());
    if (!form.matches()) {
      throw new Unreadable(
          begin, "a field is a symbol, then perhaps mm or in, then perhaps digits: {DC in 1.3}");
    }
    String symbol = form.group(1).toUpperCase(Locale.ROOT);
    int before = form.group(3) == null ? 0 : Integer.parseInt(form.group(3));
    int after = form.group(4) == null ? -1 : Integer.parseInt(form.group(4));
    if (symbol.equals(NamePattern.RUNNING)) {
      return new Piece.Running(Math.max(1, before));
    }
    if (!FieldText.known(symbol) && Dictionary.standard().find(symbol).isEmpty()) {
      throw new Unreadable(
          begin, "'%s' is no property; DC is one, NO is the running number".formatted(symbol));
    }
    Unit unit = "in".equals(form.group(2)) ? Unit.INCH : Unit.MILLIMETRE;
    return new Piece.Field(symbol, unit, before, after);
  }
}
