package arborline.core.table;

import java.util.Map;
import java.util.Set;

/**
 * Everything a reconciliation looks at.
 *
 * @param plan by place; what should be there
 * @param nominal by place; length and diameter that the library states for the planned tool
 * @param agreed by place; what plan and control last agreed on
 * @param control what the control says now
 * @param knownCodes codes of tools in the shop, upper case
 */
public record ToolTables(
    Map<String, TableEntry> plan,
    Map<String, TableEntry> nominal,
    Map<String, TableEntry> agreed,
    ControlTable control,
    Set<String> knownCodes) {}
