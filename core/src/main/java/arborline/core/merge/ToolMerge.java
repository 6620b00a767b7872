package arborline.core.merge;

import arborline.core.tool.Tool;
import arborline.core.tool.Value;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/** Joins two changes of one tool; name, class and notes are fields like its values. */
public final class ToolMerge {

  private static final String NAME = "NAME";
  private static final String CLASS = "CLASS";
  private static final String NOTE = "NOTE:";

  private ToolMerge() {}

  /** The joined tool, under the code that it has now. */
  public record Merged(Tool tool, List<FieldMerge.Conflict> conflicts) {}

  public static Merged merge(Tool base, Tool theirs, Tool mine) {
    FieldMerge.Merged<Object> merged = FieldMerge.merge(fields(base), fields(theirs), fields(mine));
    TreeMap<String, Value> values = new TreeMap<>();
    TreeMap<String, String> notes = new TreeMap<>();
    merged
        .values()
        .forEach((field, value) -> {
          if (value instanceof Value known) {
            values.put(field, known);
          } else if (field.startsWith(NOTE) && value != null) {
            notes.put(field.substring(NOTE.length()), (String) value);
          }
        });
    Tool tool =
        new Tool(
            theirs.code(),
            (String) merged.values().get(NAME),
            (String) merged.values().get(CLASS),
            values,
            notes);
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
    tool.notes().forEach((heading, text) -> fields.put(NOTE + heading, text));
    fields.put(NAME, tool.name());
    fields.put(CLASS, tool.toolClass());
    return fields;
  }
}
