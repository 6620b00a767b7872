package arborline.core.table;

import java.math.BigDecimal;
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
   * What became different between two readings, place by place; the tool in the spindle under
   * {@link TableIndex#SPINDLE}. What a control counts while it cuts is no difference.
   */
  public List<TableChange> changesFrom(ControlTable before) {
    List<TableChange> changes = new ArrayList<>();
    TreeMap<String, TableEntry> either = new TreeMap<>(PlaceOrder.BY_NUMBER);
    either.putAll(before.places);
    either.putAll(places);
    for (String place : either.keySet()) {
      changes(place, before.at(place), at(place), changes);
    }
    String was = tool(before.spindle);
    String is = tool(spindle);
    if (!Objects.equals(was, is)) {
      changes.add(new TableChange(TableIndex.SPINDLE, TableField.TOOL, was, is));
    }
    return changes;
  }

  /**
   * As {@link #changesFrom}, in sentences.
   *
   * @param placeWord what people call a place of the machine
   */
  public List<String> changesSince(ControlTable before, String placeWord) {
    return changesFrom(before).stream().map(change -> sentence(change, placeWord)).toList();
  }

  private static String sentence(TableChange change, String placeWord) {
    return change.place().equals(TableIndex.SPINDLE)
        ? "the spindle held %s, now %s"
            .formatted(orNothing(change.was()), orNothing(change.became()))
        : "%s %s: %s".formatted(placeWord, change.place(), change.words());
  }

  private static String orNothing(String tool) {
    return tool == null ? "nothing" : tool;
  }

  private static void changes(
      String place, TableEntry before, TableEntry after, List<TableChange> changes) {
    if (before.equals(after)) {
      return;
    }
    TreeSet<TableField> either = new TreeSet<>(before.fields().keySet());
    either.addAll(after.fields().keySet());
    for (TableField field : either) {
      String was = before.get(field);
      String is = after.get(field);
      if (!counter(field) && !same(field, was, is)) {
        changes.add(new TableChange(place, field, was, is));
      }
    }
  }

  /** The same value, however many decimals it is written with. */
  private static boolean same(TableField field, String one, String other) {
    if (!field.says(one) || !field.says(other)) {
      return field.says(one) == field.says(other);
    }
    return one.equals(other)
        || field.form() != TableField.Form.WORD
            && new BigDecimal(one).compareTo(new BigDecimal(other)) == 0;
  }

  private static boolean counter(TableField field) {
    return field.owner() == Owner.CONTROL
        && (field.form() == TableField.Form.COUNT || field.form() == TableField.Form.AMOUNT);
  }

  private static String tool(Optional<TableEntry> entry) {
    return entry.map(row -> row.get(TableField.TOOL)).orElse(null);
  }
}
