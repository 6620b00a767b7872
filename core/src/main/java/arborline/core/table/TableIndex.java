package arborline.core.table;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Where each tool is: in the plan, in the agreed state and at the control. */
final class TableIndex {

  /** Name of the spindle among the places of a control. */
  static final String SPINDLE = "SPINDLE";

  private final ToolTables tables;
  private final Map<String, String> planned;
  private final Map<String, String> agreed;
  private final Map<String, List<String>> shown = new HashMap<>();
  private final Set<String> sharedAtControl;
  private final Set<String> sharedInPlan;
  private final Map<String, List<String>> numbers = new HashMap<>();

  TableIndex(ToolTables tables) {
    this.tables = tables;
    this.planned = places(tables.plan());
    this.agreed = places(tables.agreed().orElse(Map.of()));
    tables.control().places().forEach(this::show);
    tables.control().spindle().ifPresent(entry -> show(SPINDLE, entry));
    this.sharedAtControl = shared(tables.control().places().values());
    this.sharedInPlan = shared(tables.plan().values());
  }

  private static Map<String, String> places(Map<String, TableEntry> entries) {
    Map<String, String> places = new HashMap<>();
    entries.forEach((place, entry) -> {
      if (!entry.key().isEmpty()) {
        places.put(entry.identity(), place);
      }
    });
    return places;
  }

  private void show(String place, TableEntry entry) {
    if (!entry.key().isEmpty()) {
      shown.computeIfAbsent(entry.identity(), tool -> new ArrayList<>(1)).add(place);
    }
    String number = entry.get(TableField.NUMBER);
    if (number != null) {
      numbers.computeIfAbsent(number, added -> new ArrayList<>(1)).add(place);
    }
  }

  private static Set<String> shared(Iterable<TableEntry> entries) {
    Set<String> once = new HashSet<>();
    Set<String> twice = new HashSet<>();
    for (TableEntry entry : entries) {
      String offset = entry.get(TableField.OFFSET);
      if (offset != null && !entry.empty() && !once.add(offset)) {
        twice.add(offset);
      }
    }
    return twice;
  }

  /** Where a tool is planned; empty where it is not, or none is named. */
  Optional<String> planned(TableEntry tool) {
    return Optional.ofNullable(planned.get(tool.identity()));
  }

  Optional<String> agreed(TableEntry tool) {
    return Optional.ofNullable(agreed.get(tool.identity()));
  }

  /** Every place at which the control shows a tool; the spindle is one. */
  List<String> shown(TableEntry tool) {
    return tool.key().isEmpty() ? List.of() : shown.getOrDefault(tool.identity(), List.of());
  }

  /** The control's row of a tool, wherever it shows it. */
  Optional<TableEntry> row(TableEntry tool) {
    return shown(tool).stream().findFirst().map(this::at);
  }

  private TableEntry at(String place) {
    return place.equals(SPINDLE)
        ? tables.control().spindle().orElse(TableEntry.EMPTY)
        : tables.control().at(place);
  }

  boolean offsetSharedAtControl(TableEntry entry) {
    return !entry.empty() && sharedAtControl.contains(entry.get(TableField.OFFSET));
  }

  boolean offsetSharedInPlan(TableEntry entry) {
    return sharedInPlan.contains(entry.get(TableField.OFFSET));
  }

  /** Another place whose tool has this number at the control and keeps it in the plan. */
  Optional<String> numberElsewhere(String place, TableEntry tool) {
    String number = tool.get(TableField.NUMBER);
    return numbers.getOrDefault(number == null ? "" : number, List.of()).stream()
        .filter(other -> !other.equals(place) && !other.equals(SPINDLE))
        .filter(other -> !at(other).empty() && !at(other).key().equals(tool.key()))
        .filter(other -> {
          TableEntry plan = tables.plan().getOrDefault(other, TableEntry.EMPTY);
          return plan.empty() || number.equals(plan.get(TableField.NUMBER));
        })
        .findFirst();
  }
}
