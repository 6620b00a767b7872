package arborline.core.merge;

import arborline.core.tool.Tool;
import arborline.core.tool.Value;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/** Joins two changes of one tool; name and class are fields like its values. */
public final class ToolMerge {

  private static final String NAME = "NAME";
  private static final String CLASS = "CLASS";

  private ToolMerge() {}

  /** The joined tool, under the code that it has now. */
  public record Merged(Tool tool, List<FieldMerge.Conflict> conflicts) {}

  public static Merged merge(Tool base, Tool theirs, Tool mine) {
    FieldMerge.Merged<Object> merged = FieldMerge.merge(fields(base), fields(theirs), fields(mine));
    TreeMap<String, Value> values = new TreeMap<>();
    merged
        .values()
        .forEach((symbol, value) -> {
          if (value instanceof Value known) {
            values.put(symbol, known);
          }
        });
    Tool tool =
        new Tool(
            theirs.code(),
            (String) merged.values().get(NAME),
            (String) merged.values().get(CLASS),
            values);
    return new Merged(tool, merged.conflicts());
  }

  /** The same once somebody has chosen whose values stand where both changed one field. */
  public static Tool settled(Tool base, Tool theirs, Tool mine, FieldMerge.Keep keep) {
    if (keep == FieldMerge.Keep.MINE) {
      return merge(base, theirs, mine).tool();
    }
    return merge(base, mine.named(theirs.code(), mine.name()), theirs).tool();
  }

  private static Map<String, Object> fields(Tool tool) {
    Map<String, Object> fields = new HashMap<>(tool.values());
    fields.put(NAME, tool.name());
    fields.put(CLASS, tool.toolClass());
    return fields;
  }
}
