package arborline.core.exchange;

import arborline.core.quantity.Unit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A cell of our text: signs that part cells or lines stand behind a backslash, a formula behind =,
 * a value that nobody has confirmed before ~.
 */
final class TextCell {

  private static final String PARTING = " | ";
  private static final Pattern FORMULA =
      Pattern.compile("=(?:\\[([^\\]]*)\\])?\\s*(.*)", Pattern.DOTALL);

  private TextCell() {}

  static String line(List<String> cells) {
    return String.join(PARTING, cells);
  }

  /** The text of a cell under a column; empty for none. */
  static String of(Cell cell, Optional<Unit> column) {
    if (cell == null || cell.blank()) {
      return "";
    }
    Optional<Unit> own = cell.unit().filter(unit -> unit != Unit.ONE);
    boolean same = own.isEmpty() || own.equals(column);
    String unit = same ? "" : own.get().code();
    String value =
        cell.formula()
            .map(formula -> "=" + (same ? "" : "[%s] ".formatted(unit)) + formula)
            .orElseGet(() -> same ? cell.text() : cell.text() + " " + unit);
    return escaped(value) + (cell.defaulted() ? " ~" : "");
  }

  static String escaped(String text) {
    String plain =
        text.replace("\\", "\\\\")
            .replace("|", "\\|")
            .replace("\r", "\\r")
            .replace("\n", "\\n")
            .replace("\t", "\\t");
    return plain.endsWith("~") ? plain.substring(0, plain.length() - 1) + "\\~" : plain;
  }

  /** The cells of a line, blanks around them taken away, backslashes still in them. */
  static List<String> parted(String line) {
    List<String> cells = new ArrayList<>();
    StringBuilder cell = new StringBuilder();
    for (int i = 0; i < line.length(); i++) {
      char sign = line.charAt(i);
      if (sign == '\\' && i + 1 < line.length()) {
        cell.append(sign).append(line.charAt(++i));
      } else if (sign == '|') {
        cells.add(cell.toString().strip());
        cell.setLength(0);
      } else {
        cell.append(sign);
      }
    }
    cells.add(cell.toString().strip());
    return cells;
  }

  static String unescaped(String text) {
    StringBuilder plain = new StringBuilder(text.length());
    for (int i = 0; i < text.length(); i++) {
      char sign = text.charAt(i);
      if (sign != '\\' || i + 1 == text.length()) {
        plain.append(sign);
        continue;
      }
      char next = text.charAt(++i);
      plain.append(
          switch (next) {
            case 'n' -> '\n';
            case 'r' -> '\r';
            case 't' -> '\t';
            default -> next;
          });
    }
    return plain.toString();
  }

  /**
   * Reads a cell.
   *
   * @param numeric true for a column of numbers, which may hold formulas
   */
  static Cell read(String written, Optional<Unit> column, boolean numeric) {
    boolean defaulted = written.endsWith("~") && !written.endsWith("\\~");
    String text =
        unescaped(defaulted ? written.substring(0, written.length() - 1).strip() : written);
    Matcher formula = FORMULA.matcher(text);
    if (numeric && formula.matches()) {
      Optional<Unit> own =
          Optional.ofNullable(formula.group(1)).flatMap(Unit::named).or(() -> column);
      return new Cell("", own, defaulted, Optional.of(formula.group(2).strip()));
    }
    return new Cell(text, numeric ? column : Optional.empty(), defaulted);
  }
}
