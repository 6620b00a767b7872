package arborline.core.recipe;

import arborline.core.exchange.Column;
import arborline.core.exchange.RawItem;

/** Header cells of our own text tables. */
final class OwnHeaders {

  private static final int SHORTEST = 2;

  private OwnHeaders() {}

  /** True for a symbol with or without a unit, and for one of our own columns. */
  static boolean is(String cell) {
    String symbol = Column.of(cell).symbol();
    String word = cell.strip().replaceAll("\\s*[\\[(:].*", "");
    boolean kept = RawItem.isNote(symbol) && !word.startsWith(RawItem.NOTE);
    return !symbol.isEmpty()
        && !kept
        && word.length() >= SHORTEST
        && word.equals(word.toUpperCase(java.util.Locale.ROOT));
  }
}
