package arborline.core.tool;

import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;

/**
 * A tool with everything that its values imply. Nothing of it is stored: an implied value follows
 * its source until somebody writes it down.
 *
 * @param tool with authored and implied values
 * @param origins of the implied ones, by symbol
 */
public record Completed(Tool tool, SortedMap<String, Origin> origins) {

  public Completed {
    origins = Collections.unmodifiableSortedMap(origins);
  }

  /** Completes a tool by the implications of its class; one of no known class stays as it is. */
  public static Completed of(Tool tool) {
    Optional<ClassSheet> sheet = ToolClasses.named(tool.toolClass()).map(ToolClass::sheet);
    TreeMap<String, Origin> origins = new TreeMap<>();
    return sheet.isEmpty()
        ? new Completed(tool, origins)
        : new Completed(follow(tool, sheet.get().implications(), origins), origins);
  }

  /**
   * Without the trade defaults that nobody confirmed, where the other values say what such a value
   * is: the hand of a holder is the one of its designation, whatever is usual. What waits to be
   * confirmed and is no trade default of the class stays.
   */
  public static Tool withoutOutdoneDefaults(Tool tool) {
    Optional<ClassSheet> sheet = ToolClasses.named(tool.toolClass()).map(ToolClass::sheet);
    return sheet.isEmpty() ? tool : withoutOutdoneDefaults(tool, sheet.get());
  }

  private static Tool withoutOutdoneDefaults(Tool tool, ClassSheet sheet) {
    Tool sure = tool;
    for (Map.Entry<String, Value> entry : tool.values().entrySet()) {
      Value value = entry.getValue();
      boolean usual =
          value.defaulted() && value.text().equals(sheet.defaults().get(entry.getKey()));
      sure = usual ? sure.with(entry.getKey(), null) : sure;
    }
    if (sure == tool) {
      return tool;
    }
    List<Implication> certain =
        sheet.implications().stream()
            .filter(implication -> implication.origin().kind() != Origin.Kind.TRADE_DEFAULT)
            .toList();
    TreeMap<String, Origin> origins = new TreeMap<>();
    follow(sure, certain, origins);
    Tool kept = tool;
    for (String symbol : origins.keySet()) {
      kept = kept.has(symbol) ? kept.with(symbol, null) : kept;
    }
    return kept;
  }

  /** Begins anew with whatever follows; what is written earlier in the sheet goes first. */
  private static Tool follow(
      Tool tool, List<Implication> implications, Map<String, Origin> origins) {
    Tool known = tool;
    int asked = 0;
    while (asked < implications.size()) {
      Implication implication = implications.get(asked++);
      Optional<Value> value =
          known.has(implication.symbol()) ? Optional.empty() : implication.value(known);
      if (value.isPresent()) {
        known = known.with(implication.symbol(), value.get());
        origins.put(implication.symbol(), implication.origin());
        asked = 0;
      }
    }
    return known;
  }
}
