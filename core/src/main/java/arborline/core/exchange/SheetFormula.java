package arborline.core.exchange;

import arborline.core.formula.ValueFormula;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.regex.MatchResult;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Our formulas as formulas of a spreadsheet, and back: {@code APMX + 2} in row 5 is {@code H5 + 2}
 * there, where column H holds the length of cut.
 */
public final class SheetFormula {

  private static final Pattern WORD = Pattern.compile("[A-Za-z][A-Za-z0-9_]*");
  private static final Pattern UNIT_BEHIND = Pattern.compile("[\\d.]\\s*(?:\"|[A-Za-z])");
  private static final Pattern PLACE =
      Pattern.compile("\\$?([A-Z]{1,3})\\$?(\\d{1,7})(?![\\d(A-Za-z_])");
  private static final int LETTERS = 26;

  private SheetFormula() {}

  /**
   * The formula of a spreadsheet.
   *
   * @param row from 1
   * @param columns index of the column of a symbol whose cell is a number in the column's unit
   * @return nothing where it needs more than its own row
   */
  static Optional<String> of(String formula, int row, Function<String, Optional<Integer>> columns) {
    Optional<ValueFormula> read = ValueFormula.read(formula).formula();
    boolean plain = read.isPresent() && !UNIT_BEHIND.matcher(formula).find();
    if (!plain
        || read.get().symbols().stream().anyMatch(symbol -> columns.apply(symbol).isEmpty())) {
      return Optional.empty();
    }
    return Optional.of(
        WORD.matcher(read.get().text()).replaceAll(word -> place(word, row, columns)));
  }

  private static String place(
      MatchResult word, int row, Function<String, Optional<Integer>> columns) {
    String symbol = word.group().toUpperCase(java.util.Locale.ROOT);
    return columns.apply(symbol).map(index -> letters(index) + row).orElse(symbol);
  }

  /** Name of a column by its index: 0 is A, 26 is AA. */
  static String letters(int index) {
    String last = String.valueOf((char) ('A' + index % LETTERS));
    return index < LETTERS ? last : letters(index / LETTERS - 1) + last;
  }

  /**
   * Our formula out of one of a spreadsheet.
   *
   * @param row from 1, in which it stands
   * @param symbols of the columns, in order; empty for one that holds no number
   * @return nothing where it uses anything but numbers of its own row
   */
  public static Optional<String> read(String formula, long row, List<String> symbols) {
    Matcher places = PLACE.matcher(formula);
    StringBuilder text = new StringBuilder();
    while (places.find()) {
      int index = index(places.group(1));
      boolean here =
          Long.parseLong(places.group(2)) == row
              && index < symbols.size()
              && !symbols.get(index).isEmpty();
      if (!here) {
        return Optional.empty();
      }
      places.appendReplacement(text, symbols.get(index));
    }
    places.appendTail(text);
    String plain = text.toString().replace("MIN(", "min(").replace("MAX(", "max(");
    return ValueFormula.read(plain)
        .formula()
        .filter(read -> !read.symbols().isEmpty() && symbols.containsAll(read.symbols()))
        .map(ValueFormula::text);
  }

  private static int index(String letters) {
    int index = 0;
    for (char letter : letters.toCharArray()) {
      index = index * LETTERS + letter - 'A' + 1;
    }
    return index - 1;
  }
}
