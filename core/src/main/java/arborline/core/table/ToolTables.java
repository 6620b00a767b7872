package arborline.core.table;

import java.util.Map;
import java.util.Optional;

/**
 * Everything a reconciliation looks at. Plan, nominal and agreed state are in mm and diameters, the
 * control speaks its own terms; wear is in the control's terms everywhere.
 *
 * @param plan by place; what should be there
 * @param nominal by tool code, upper case; a tool that is not named is in no library
 * @param agreed by place; what plan and control last agreed on; empty where they never did
 * @param control what the control says now
 */
public record ToolTables(
    Map<String, TableEntry> plan,
    Map<String, Nominal> nominal,
    Optional<Map<String, TableEntry>> agreed,
    ControlTable control) {

  Nominal nominal(TableEntry entry) {
    return nominal.getOrDefault(entry.key(), Nominal.UNKNOWN);
  }
}
