package arborline.core.exchange;

import java.util.AbstractMap;
import java.util.AbstractSet;
import java.util.Arrays;
import java.util.Comparator;
import java.util.Iterator;
import java.util.NoSuchElementException;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.function.BiConsumer;

/**
 * Cells of one row of a table whose columns were put in order before: a sorted map that costs no
 * sorting, because a large table has many rows. Never changed.
 */
final class SortedCells extends AbstractMap<String, Cell> implements SortedMap<String, Cell> {

  private final String[] symbols;
  private final Cell[] cells;

  /**
   * Cells by symbol.
   *
   * @param symbols in ascending order, none twice; may be shared with other rows
   * @param cells as many
   */
  SortedCells(String[] symbols, Cell[] cells) {
    this.symbols = symbols;
    this.cells = cells;
  }

  @Override
  public int size() {
    return cells.length;
  }

  private int place(Object symbol) {
    return symbol instanceof String text ? Arrays.binarySearch(symbols, text) : -1;
  }

  @Override
  public Cell get(Object symbol) {
    int place = place(symbol);
    return place < 0 ? null : cells[place];
  }

  @Override
  public boolean containsKey(Object symbol) {
    return place(symbol) >= 0;
  }

  @Override
  public Comparator<? super String> comparator() {
    return null;
  }

  @Override
  public Set<Entry<String, Cell>> entrySet() {
    return new AbstractSet<>() {
      @Override
      public Iterator<Entry<String, Cell>> iterator() {
        return new Entries();
      }

      @Override
      public int size() {
        return cells.length;
      }
    };
  }

  @Override
  public void forEach(BiConsumer<? super String, ? super Cell> action) {
    for (int i = 0; i < cells.length; i++) {
      action.accept(symbols[i], cells[i]);
    }
  }

  private final class Entries implements Iterator<Entry<String, Cell>> {
    private int at;

    @Override
    public boolean hasNext() {
      return at < cells.length;
    }

    @Override
    public Entry<String, Cell> next() {
      if (at >= cells.length) {
        throw new NoSuchElementException();
      }
      Entry<String, Cell> next = new SimpleImmutableEntry<>(symbols[at], cells[at]);
      at++;
      return next;
    }
  }

  private TreeMap<String, Cell> copy() {
    return new TreeMap<>((SortedMap<String, Cell>) this);
  }

  @Override
  public SortedMap<String, Cell> subMap(String from, String to) {
    return copy().subMap(from, to);
  }

  @Override
  public SortedMap<String, Cell> headMap(String to) {
    return copy().headMap(to);
  }

  @Override
  public SortedMap<String, Cell> tailMap(String from) {
    return copy().tailMap(from);
  }

  @Override
  public String firstKey() {
    return copy().firstKey();
  }

  @Override
  public String lastKey() {
    return copy().lastKey();
  }
}
