package arborline.core.inspect;

import arborline.core.exchange.Cell;
import arborline.core.tool.ClassSheet;
import arborline.core.tool.ToolClass;
import arborline.core.tool.ToolClasses;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;

/**
 * What becomes of the values of a tool that gets another class: what the class asks for stays, the
 * rest is put aside, its trade defaults come in.
 *
 * @param values by symbol
 * @param aside what somebody wrote and the class does not ask for; it comes back with a class that
 *     does
 */
public record ClassChange(SortedMap<String, Cell> values, SortedMap<String, Cell> aside) {

  /**
   * Changes the class.
   *
   * @param toolClass id or title of a class; nothing is put aside for one that is not known
   * @param values before the change, by symbol
   * @param aside what earlier changes put aside
   */
  public static ClassChange to(
      String toolClass, Map<String, Cell> values, Map<String, Cell> aside) {
    SortedMap<String, Cell> all = new TreeMap<>(aside);
    all.putAll(values);
    Optional<ClassSheet> sheet = ToolClasses.named(toolClass).map(ToolClass::sheet);
    if (sheet.isEmpty()) {
      return new ClassChange(all, new TreeMap<>());
    }
    List<String> asked = sheet.get().symbols();
    SortedMap<String, Cell> staying = new TreeMap<>();
    SortedMap<String, Cell> leaving = new TreeMap<>();
    all.forEach((symbol, cell) -> {
      if (asked.contains(symbol)) {
        staying.put(symbol, cell);
      } else if (!cell.defaulted()) {
        leaving.put(symbol, cell);
      }
    });
    sheet
        .get()
        .defaults()
        .forEach(
            (symbol, text) -> staying.putIfAbsent(symbol, new Cell(text, Optional.empty(), true)));
    return new ClassChange(staying, leaving);
  }
}
