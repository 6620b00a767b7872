package arborline.core.recipe;

import arborline.core.quantity.Unit;
import java.util.Optional;

/**
 * What one column is read as.
 *
 * @param header as written
 * @param meaning what it means; {@code NOTE} where it is kept as a note
 * @param symbol the property that the header names itself; empty where the meaning decides
 * @param unit that the header or the row below it states
 * @param evidence why it is read so
 */
record ColumnRole(
    String header, Meaning meaning, Optional<String> symbol, Optional<Unit> unit, String evidence) {

  ColumnRole as(Meaning other, String why) {
    return new ColumnRole(header, other, Optional.empty(), unit, why);
  }

  ColumnRole in(Unit stated) {
    return new ColumnRole(header, meaning, symbol, Optional.of(stated), evidence);
  }
}
