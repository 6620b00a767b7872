package arborline.core.duplicate;

import arborline.core.exchange.RawItem;
import arborline.core.finding.Finding;
import arborline.core.finding.Severity;
import arborline.core.inspect.Inspector;
import arborline.core.tool.Tool;
import arborline.core.tool.Value;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What a tool becomes that takes values of a duplicate.
 *
 * @param tool with these values
 * @param hold what the rules have against it and had not before; empty where it is sound
 */
public record JoinedTool(Tool tool, Optional<Finding> hold) {

  /** Takes values over, by symbol, in place of its own. */
  public static JoinedTool of(Tool kept, Map<String, Value> taken) {
    Tool joined = kept;
    for (Map.Entry<String, Value> value : taken.entrySet()) {
      joined = joined.with(value.getKey(), value.getValue());
    }
    List<String> known = holds(kept).stream().map(Finding::message).toList();
    return new JoinedTool(
        joined, holds(joined).stream().filter(hold -> !known.contains(hold.message())).findFirst());
  }

  private static List<Finding> holds(Tool tool) {
    return Inspector.judge(RawItem.of(tool)).findings().stream()
        .filter(finding -> finding.severity() == Severity.HOLD)
        .toList();
  }
}
