package arborline.core.exchange;

import java.util.List;
import java.util.Optional;

/**
 * What is seen in the cells of a column.
 *
 * @param cells some of them, as written
 * @param guess a property that they look like, where the header does not say so
 * @param why they look like it; empty without a guess
 */
public record ColumnSample(List<String> cells, Optional<String> guess, String why) {

  public static final ColumnSample NONE = new ColumnSample(List.of(), Optional.empty(), "");

  public ColumnSample {
    cells = List.copyOf(cells);
  }
}
