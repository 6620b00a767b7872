package arborline.core.table;

import java.util.BitSet;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Where each tool is: in the plan, in the agreed state and at the control. What is asked of few
 * places is gathered when it is asked first.
 */
final class TableIndex {

  /** Name of the spindle among the places of a control. */
  static final String SPINDLE = "SPINDLE";

  private static final int HASHES = 1 << 18;

  private final ToolTables tables;
  private final Set<String> shownTwice;
  private Map<String, List<String>> shown;
  private Set<String> sharedAtControl;
  private Set<String> sharedInPlan;
  private Map<String, String> planned;
  private Map<String, String> agreed;
  private Map<String, List<String>> numbers;

  TableIndex(ToolTables tables) {
    this(tables, tables.control().places().values());
  }

  /**
   * An index of these tables.
   *
   * @param shown every row that the control shows, the spindle apart
   */
  TableIndex(ToolTables tables, Collection<TableEntry> shown) {
    this.tables = tables;
    List<String> tools =
        Stream.concat(shown.stream(), tables.control().spindle().stream())
            .filter(entry -> entry.named())
            .map(TableEntry::identity)
            .toList();
    this.shownTwice = twice(tools);
  }

  /** The tools that are there more than once; only those of one hash are compared. */
  private static Set<String> twice(List<String> tools) {
    BitSet met = new BitSet(HASHES);
    BitSet metAgain = new BitSet(HASHES);
    for (String tool : tools) {
      int hash = tool.hashCode() & HASHES - 1;
      (met.get(hash) ? metAgain : met).set(hash);
    }
    Set<String> once = new HashSet<>();
    return tools.stream()
        .filter(tool -> metAgain.get(tool.hashCode() & HASHES - 1) && !once.add(tool))
        .collect(Collectors.toSet());
  }

  private static Map<String, String> places(Map<String, TableEntry> entries) {
    Map<String, String> places = HashMap.newHashMap(entries.size());
    entries.forEach((place, entry) -> {
      if (entry.named()) {
        places.put(entry.identity(), place);
      }
    });
    return places;
  }

  /** The places of the control by a text of theirs; a place whose text is null is left out. */
  private Map<String, List<String>> byText(Function<TableEntry, String> text) {
    ControlTable control = tables.control();
    Map<String, List<String>> places = HashMap.newHashMap(control.places().size());
    control.places().forEach((place, entry) -> add(places, text.apply(entry), place));
    control.spindle().ifPresent(entry -> add(places, text.apply(entry), SPINDLE));
    return places;
  }

  private static void add(Map<String, List<String>> places, String text, String place) {
    if (text != null) {
      places.merge(
          text,
          List.of(place),
          (one, other) -> Stream.of(one, other).flatMap(List::stream).toList());
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
    if (planned == null) {
      planned = places(tables.plan());
    }
    return Optional.ofNullable(planned.get(tool.identity()));
  }

  Optional<String> agreed(TableEntry tool) {
    if (agreed == null) {
      agreed = places(tables.agreed().orElse(Map.of()));
    }
    return Optional.ofNullable(agreed.get(tool.identity()));
  }

  /** Every place at which the control shows a tool; the spindle is one. */
  List<String> shown(TableEntry tool) {
    if (shown == null) {
      shown = byText(entry -> !entry.named() ? null : entry.identity());
    }
    return !tool.named() ? List.of() : shown.getOrDefault(tool.identity(), List.of());
  }

  /** True where the control shows one tool at more than one place. */
  boolean shownTwice(TableEntry tool) {
    return !shownTwice.isEmpty() && shownTwice.contains(tool.identity());
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
    String offset = entry.get(TableField.OFFSET);
    if (offset == null || entry.empty()) {
      return false;
    }
    if (sharedAtControl == null) {
      sharedAtControl = shared(tables.control().places().values());
    }
    return sharedAtControl.contains(offset);
  }

  boolean offsetSharedInPlan(TableEntry entry) {
    String offset = entry.get(TableField.OFFSET);
    if (offset == null) {
      return false;
    }
    if (sharedInPlan == null) {
      sharedInPlan = shared(tables.plan().values());
    }
    return sharedInPlan.contains(offset);
  }

  /** Another place whose tool has this number at the control and keeps it in the plan. */
  Optional<String> numberElsewhere(String place, TableEntry tool) {
    String number = tool.get(TableField.NUMBER);
    if (numbers == null) {
      numbers = byText(entry -> entry.get(TableField.NUMBER));
    }
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
