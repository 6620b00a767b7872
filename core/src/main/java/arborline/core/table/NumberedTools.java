package arborline.core.table;

import java.util.HashMap;
import java.util.Map;
import java.util.Optional;

/**
 * Which tools a control means that shows numbers and no codes: those that were agreed under these
 * numbers, else those that are planned under them. A number that nobody knows is a tool that nobody
 * knows.
 */
public final class NumberedTools {

  private final Map<String, String> codes = new HashMap<>();

  /**
   * Tools by their numbers.
   *
   * @param plan by place
   * @param agreed by place
   */
  public NumberedTools(Map<String, TableEntry> plan, Optional<Map<String, TableEntry>> agreed) {
    plan.values().forEach(this::put);
    agreed.orElse(Map.of()).values().forEach(this::put);
  }

  private void put(TableEntry entry) {
    String number = entry.get(TableField.NUMBER);
    if (number != null && entry.named()) {
      codes.put(number, entry.get(TableField.TOOL));
    }
  }

  /** A reading with the tool of each row that says a number and no tool. */
  public ControlTable named(ControlTable control) {
    return control.with(this::named);
  }

  private TableEntry named(TableEntry row) {
    String number = row.get(TableField.NUMBER);
    return row.named() || number == null
        ? row
        : row.with(TableField.TOOL, codes.getOrDefault(number, "number " + number));
  }
}
