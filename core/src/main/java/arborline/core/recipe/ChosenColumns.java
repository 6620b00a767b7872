package arborline.core.recipe;

import arborline.core.exchange.Column;
import arborline.core.exchange.RawItem;
import arborline.core.exchange.TableReading;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;

/** What a person decided about columns, by their headers. */
final class ChosenColumns {

  private static final String WHY = TableReading.BY_HAND;

  private final Map<String, Column> chosen = new HashMap<>();
  private final SortedMap<String, String> constants = new TreeMap<>();

  private ChosenColumns() {}

  static ChosenColumns of(TableReading reading) {
    ChosenColumns columns = new ChosenColumns();
    List<String> names = ColumnNames.of(reading.columns().stream().map(Column::header).toList());
    for (int i = 0; i < names.size(); i++) {
      Column column = reading.columns().get(i);
      if (TableReading.decided(column.evidence())) {
        columns.chosen.put(names.get(i), column);
      }
    }
    columns.constants.putAll(reading.constants());
    return columns;
  }

  /** The roles with these decisions in them. */
  List<ColumnRole> in(List<ColumnRole> roles) {
    List<ColumnRole> decided = new ArrayList<>(roles);
    List<String> names = names(roles);
    for (int i = 0; i < roles.size(); i++) {
      Column column = chosen.get(names.get(i));
      if (column != null) {
        decided.set(i, role(roles.get(i).header(), column));
      }
    }
    return decided;
  }

  private static List<String> names(List<ColumnRole> roles) {
    return ColumnNames.of(roles.stream().map(ColumnRole::header).toList());
  }

  /** What every row gets that says nothing itself. */
  SortedMap<String, String> constants() {
    return constants;
  }

  /** What is done with the cells of some columns, by their places; none that nobody adjusted. */
  SortedMap<Integer, Column> adjusted(List<ColumnRole> roles) {
    List<String> names = names(roles);
    SortedMap<Integer, Column> adjusted = new TreeMap<>();
    for (int i = 0; i < names.size(); i++) {
      Column column = chosen.get(names.get(i));
      if (column != null && !column.adjustment().none()) {
        adjusted.put(i, column);
      }
    }
    return adjusted;
  }

  /** The role of a column that somebody decided. */
  static ColumnRole role(String header, Column column) {
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
