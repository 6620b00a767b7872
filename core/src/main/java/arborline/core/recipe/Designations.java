package arborline.core.recipe;

import arborline.core.designation.InsertDesignation;
import arborline.core.designation.InsertReader;
import arborline.core.designation.ShankDesignation;
import arborline.core.designation.ShankReader;
import arborline.core.exchange.Cell;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.regex.Pattern;

/** Cells that are a standard designation: an insert, a turning tool, a boring bar. */
final class Designations {

  private static final Pattern INSERT =
      Pattern.compile(
          "(?i)[A-Z]{4}\\s?\\d{2}[\\dT]\\d{1,3}\\w{0,4}(?:\\s?-\\s?\\w+)?|[A-Z]{4}\\s?\\d{4}M0\\S*");
  private static final Pattern BAR =
      Pattern.compile("(?i)[A-Z]\\d{2}[A-Z]-?\\s?[A-Z]{5}\\s?\\d{2}.*");
  private static final Pattern HOLDER =
      Pattern.compile("(?i)[A-Z]{5}\\s?\\d{4}\\s?[A-Z-]\\s?\\d{2}\\w*");

  private Designations() {}

  /**
   * What a designation says.
   *
   * @param toolClass id of the class
   * @param cells by symbol
   */
  record Named(String toolClass, SortedMap<String, Cell> cells) {}

  static boolean is(String text) {
    return read(text).isPresent();
  }

  /** Reads a whole cell; nothing where it is no designation. */
  static Optional<Named> read(String text) {
    String plain = text.strip();
    if (INSERT.matcher(plain).matches()) {
      Optional<InsertDesignation> insert = InsertReader.read(plain).value();
      return insert.map(read -> named("insert", "MIID", plain));
    }
    boolean bar = BAR.matcher(plain).matches();
    if (bar || HOLDER.matcher(plain).matches()) {
      Optional<ShankDesignation> shank = ShankReader.read(plain).value();
      return shank.map(read -> named(turning(plain, bar), "SHANK", plain));
    }
    return Optional.empty();
  }

  /** A neutral holder has neither a right nor a left hand. */
  private static String turning(String text, boolean bar) {
    if (bar) {
      return "turning-internal";
    }
    char hand = Character.toUpperCase(text.replace(" ", "").charAt(4));
    return hand == 'N' ? "turning-neutral" : "turning-external";
  }

  private static Named named(String toolClass, String symbol, String text) {
    SortedMap<String, Cell> cells = new TreeMap<>();
    cells.put(symbol, Cell.of(text));
    return new Named(toolClass, cells);
  }
}
