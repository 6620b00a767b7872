package arborline.server.library;

import arborline.core.tool.Tool;
import arborline.core.tool.Value;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.TreeMap;
import java.util.TreeSet;

/** Joins two changes of one tool field by field; what both changed differently is a conflict. */
final class FieldMerge {

  private FieldMerge() {}

  /** A field that both changed. */
  record Conflict(String symbol, String base, String theirs, String mine) {}

  record Merged(Tool tool, List<Conflict> conflicts) {}

  static Merged merge(Tool base, Tool theirs, Tool mine) {
    List<Conflict> conflicts = new ArrayList<>();
    TreeSet<String> symbols = new TreeSet<>(base.values().keySet());
    symbols.addAll(theirs.values().keySet());
    symbols.addAll(mine.values().keySet());
    TreeMap<String, Value> values = new TreeMap<>();
    for (String symbol : symbols) {
      Value value =
          pick(
              symbol,
              base.values().get(symbol),
              theirs.values().get(symbol),
              mine.values().get(symbol),
              conflicts);
      if (value != null) {
        values.put(symbol, value);
      }
    }
    String name = pick("NAME", base.name(), theirs.name(), mine.name(), conflicts);
    String toolClass =
        pick("CLASS", base.toolClass(), theirs.toolClass(), mine.toolClass(), conflicts);
    return new Merged(new Tool(theirs.code(), name, toolClass, values), conflicts);
  }

  private static <T> T pick(String symbol, T base, T theirs, T mine, List<Conflict> conflicts) {
    if (Objects.equals(mine, base) || Objects.equals(mine, theirs)) {
      return theirs;
    }
    if (!Objects.equals(theirs, base)) {
      conflicts.add(
          new Conflict(
              symbol,
              Objects.toString(base, ""),
              Objects.toString(theirs, ""),
              Objects.toString(mine, "")));
    }
    return mine;
  }
}
