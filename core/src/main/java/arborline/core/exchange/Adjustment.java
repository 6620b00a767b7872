package arborline.core.exchange;

import java.math.BigDecimal;
import java.util.Collections;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;

/**
 * What is done with the cells of a column before they are read.
 *
 * @param split how a cell is taken apart: {@code D{DC}xL{LU}}
 * @param factor by which its numbers are multiplied
 * @param behind the sign with which a cell is put behind that of an earlier column with the same
 *     symbol
 * @param words what stands for a cell, by the cell
 */
public record Adjustment(
    Optional<String> split,
    Optional<BigDecimal> factor,
    Optional<String> behind,
    SortedMap<String, String> words) {

  /** Cells are read as they are. */
  public static final Adjustment NONE =
      new Adjustment(Optional.empty(), Optional.empty(), Optional.empty(), new TreeMap<>());

  public Adjustment {
    words = Collections.unmodifiableSortedMap(new TreeMap<>(words));
  }

  /** Only another factor. */
  public static Adjustment times(BigDecimal factor) {
    return new Adjustment(Optional.empty(), Optional.of(factor), Optional.empty(), new TreeMap<>());
  }

  /** Only words that stand for others. */
  public static Adjustment words(Map<String, String> words) {
    return new Adjustment(
        Optional.empty(), Optional.empty(), Optional.empty(), new TreeMap<>(words));
  }

  public boolean none() {
    return equals(NONE);
  }
}
