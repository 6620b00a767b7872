package arborline.core.table;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.UnaryOperator;

/**
 * A control's tool table as read.
 *
 * @param places by number; empty ones may be left out
 * @param spindle the tool in the spindle, where the control reports it
 * @param unplaced tools that it keeps and that are in no place
 * @param revision by which it tells its states apart; empty where it does not
 * @param troubles what is wrong with the table as a whole, in sentences: the next writing has to
 *     mend it
 */
public record ControlTable(
    Map<String, TableEntry> places,
    Optional<TableEntry> spindle,
    List<TableEntry> unplaced,
    String revision,
    List<String> troubles) {

  public ControlTable {
    places = Collections.unmodifiableMap(new HashMap<>(places));
    unplaced = unplaced == null ? List.of() : List.copyOf(unplaced);
    revision = revision == null ? "" : revision;
    troubles = troubles == null ? List.of() : List.copyOf(troubles);
  }

  /** A table of a control that keeps no tools but those in places. */
  public ControlTable(Map<String, TableEntry> places, Optional<TableEntry> spindle) {
    this(places, spindle, List.of(), "", List.of());
  }

  /** A copy with every row changed. */
  public ControlTable with(UnaryOperator<TableEntry> change) {
    TreeMap<String, TableEntry> changed = new TreeMap<>();
    places.forEach((place, entry) -> changed.put(place, change.apply(entry)));
    return new ControlTable(
        changed, spindle.map(change), unplaced.stream().map(change).toList(), revision, troubles);
  }

  public TableEntry at(String place) {
    return places.getOrDefault(place, TableEntry.EMPTY);
  }

  /**
   * What became different between two readings, in sentences; empty where nothing did. What a
   * control counts while it cuts is no difference.
   */
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
      if (!counter(field) && !Objects.equals(was, is)) {
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

  private static boolean counter(TableField field) {
    return field.owner() == Owner.CONTROL
        && (field.form() == TableField.Form.COUNT || field.form() == TableField.Form.AMOUNT);
  }

  private static String name(Optional<TableEntry> entry) {
    return entry.map(row -> row.get(TableField.TOOL)).orElse("nothing");
  }
}
