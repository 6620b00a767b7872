package arborline.core.edit;

import arborline.core.edit.BulkEdit.Written;
import arborline.core.exchange.Cell;
import arborline.core.exchange.RawItem;
import arborline.core.finding.Finding;
import arborline.core.finding.Severity;
import arborline.core.inspect.Inspected;
import arborline.core.inspect.Inspector;
import arborline.core.tool.Tool;
import arborline.core.tool.Value;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;

/**
 * What a change makes of a tool.
 *
 * @param tool after it; nothing where it stays as it is
 * @param before what stood in the changed column; empty for nothing
 * @param after what stands there then; empty for nothing
 * @param why it cannot be changed, in words; empty where it can or nothing changes
 */
public record EditedTool(Optional<Tool> tool, String before, String after, String why) {

  /** Works it out; what the rules hold against the tool then and not before stands against it. */
  public static EditedTool of(Tool tool, BulkEdit edit) {
    String before = text(tool, edit);
    Written written = edit.write(tool);
    if (!written.fault().isEmpty()) {
      return new EditedTool(Optional.empty(), before, before, written.fault());
    }
    if (written.cells().isEmpty()) {
      return new EditedTool(Optional.empty(), before, before, "");
    }
    Inspected inspected = Inspector.judge(changed(tool, written));
    Tool after = inspected.tool().named(tool.code(), inspected.tool().name());
    if (after.equals(tool)) {
      return new EditedTool(Optional.empty(), before, before, "");
    }
    return against(tool, inspected)
        .map(finding ->
            new EditedTool(Optional.empty(), before, text(after, edit), finding.message()))
        .orElseGet(() -> new EditedTool(Optional.of(after), before, text(after, edit), ""));
  }

  private static RawItem changed(Tool tool, Written written) {
    RawItem raw = RawItem.of(tool);
    SortedMap<String, Cell> cells = new TreeMap<>(raw.cells());
    for (Map.Entry<String, Cell> cell : written.cells().entrySet()) {
      if (cell.getValue().blank()) {
        cells.remove(cell.getKey());
      } else {
        cells.put(cell.getKey(), cell.getValue());
      }
    }
    return new RawItem(raw.line(), cells, List.of());
  }

  private static Optional<Finding> against(Tool before, Inspected after) {
    List<Finding> holds =
        after.findings().stream().filter(finding -> finding.severity() == Severity.HOLD).toList();
    if (holds.isEmpty()) {
      return Optional.empty();
    }
    List<String> known =
        Inspector.judge(RawItem.of(before)).findings().stream().map(Finding::message).toList();
    return holds.stream().filter(hold -> !known.contains(hold.message())).findFirst();
  }

  private static String text(Tool tool, BulkEdit edit) {
    return edit.symbol()
        .map(symbol ->
            Optional.ofNullable(tool.values().get(symbol)).map(Value::toString).orElse(""))
        .orElse(tool.name());
  }
}
