package arborline.core.table;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.UnaryOperator;

/**
 * A control's tool table as read.
 *
 * @param places by number; empty ones may be left out
 * @param spindle the tool in the spindle, where the control reports it
 */
public record ControlTable(Map<String, TableEntry> places, Optional<TableEntry> spindle) {

  public ControlTable {
    places = Collections.unmodifiableMap(new HashMap<>(places));
  }

  /** A copy with every row changed. */
  public ControlTable with(UnaryOperator<TableEntry> change) {
    TreeMap<String, TableEntry> changed = new TreeMap<>();
    places.forEach((place, entry) -> changed.put(place, change.apply(entry)));
    return new ControlTable(changed, spindle.map(change));
  }

  public TableEntry at(String place) {
    return places.getOrDefault(place, TableEntry.EMPTY);
  }

  /** What became different between two readings, in sentences; empty where nothing did. */
  public List<String> changesSince(ControlTable before) {
    List<String> changes = new ArrayList<>();
    TreeMap<String, TableEntry> either = new TreeMap<>(PlaceOrder.BY_NUMBER);
    either.putAll(before.places);
    either.putAll(places);
    for (String place : either.keySet()) {
      changes(place, before.at(place), at(place), changes);
    }
    if (!spindle.equals(before.spindle)) {
      changes.add("the spindle held %s, now %s".formatted(name(before.spindle), name(spindle)));
    }
    return changes;
  }

  private static void changes(
      String place, TableEntry before, TableEntry after, List<String> changes) {
    TreeSet<TableField> either = new TreeSet<>(before.fields().keySet());
    either.addAll(after.fields().keySet());
    for (TableField field : either) {
      String was = before.get(field);
      String is = after.get(field);
      if (was == null ? is != null : !was.equals(is)) {
        changes.add(
            "pocket %s: %s was %s, now %s"
                .formatted(
                    place,
                    field.title(),
                    was == null ? "not set" : was,
                    is == null ? "not set" : is));
      }
    }
  }

  private static String name(Optional<TableEntry> entry) {
    return entry.map(row -> row.get(TableField.TOOL)).orElse("nothing");
  }
}
