package arborline.core.recipe;

import arborline.core.exchange.Column;
import arborline.core.exchange.RawItem;
import arborline.core.exchange.TableReading;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** What a person decided about columns, by their headers. */
final class ChosenColumns {

  private static final String WHY = TableReading.BY_HAND;

  private final Map<String, Column> chosen = new HashMap<>();

  private ChosenColumns() {}

  static ChosenColumns of(TableReading reading) {
    ChosenColumns columns = new ChosenColumns();
    reading.columns().stream()
        .filter(column -> column.evidence().equals(WHY))
        .forEach(column -> columns.chosen.put(column.header().strip(), column));
    return columns;
  }

  /** The roles with these decisions in them. */
  List<ColumnRole> in(List<ColumnRole> roles) {
    return chosen.isEmpty() ? roles : roles.stream().map(this::in).toList();
  }

  private ColumnRole in(ColumnRole role) {
    Column column = chosen.get(role.header());
    return column == null ? role : role(role.header(), column);
  }

  private static ColumnRole role(String header, Column column) {
    return switch (column.symbol()) {
      case RawItem.CODE -> plain(header, Meaning.CODE);
      case RawItem.NAME -> plain(header, Meaning.DESCRIPTION);
      case RawItem.CLASS -> plain(header, Meaning.KIND);
      case "" -> plain(header, Meaning.NOTE);
      default ->
          RawItem.isNote(column.symbol())
              ? plain(header, Meaning.NOTE)
              : new ColumnRole(
                  header, Meaning.NOTE, Optional.of(column.symbol()), column.unit(), WHY);
    };
  }

  private static ColumnRole plain(String header, Meaning meaning) {
    return new ColumnRole(header, meaning, Optional.empty(), Optional.empty(), WHY);
  }
}
