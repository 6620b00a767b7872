package arborline.core.merge;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.TreeMap;
import java.util.TreeSet;

/**
 * Joins two changes that started from the same base, field by field: where one side changed a field
 * its value stands, where both made the same of it that stands, and where they differ it is a
 * conflict.
 */
public final class FieldMerge {

  private FieldMerge() {}

  /** A field that both sides changed; an empty text where it is not there. */
  public record Conflict(String symbol, String base, String theirs, String mine) {}

  /** Whose value stands in a conflict. */
  public enum Keep {
    MINE,
    THEIRS
  }

  /**
   * The joined fields; in a conflict mine stands until somebody chooses.
   *
   * @param values by field name; fields that were taken away are left out
   */
  public record Merged<T>(Map<String, T> values, List<Conflict> conflicts) {}

  /** Joins fields by name; a field that is not in a map is not there. */
  public static <T> Merged<T> merge(
      Map<String, ? extends T> base,
      Map<String, ? extends T> theirs,
      Map<String, ? extends T> mine) {
    TreeSet<String> names = new TreeSet<>(base.keySet());
    names.addAll(theirs.keySet());
    names.addAll(mine.keySet());
    Map<String, T> values = new TreeMap<>();
    List<Conflict> conflicts = new ArrayList<>();
    for (String name : names) {
      T value = pick(name, base.get(name), theirs.get(name), mine.get(name), conflicts);
      if (value != null) {
        values.put(name, value);
      }
    }
    return new Merged<>(values, conflicts);
  }

  private static <T> T pick(String name, T base, T theirs, T mine, List<Conflict> conflicts) {
    if (Objects.equals(mine, base) || Objects.equals(mine, theirs)) {
      return theirs;
    }
    if (!Objects.equals(theirs, base)) {
      conflicts.add(
          new Conflict(
              name,
              Objects.toString(base, ""),
              Objects.toString(theirs, ""),
              Objects.toString(mine, "")));
    }
    return mine;
  }
}
