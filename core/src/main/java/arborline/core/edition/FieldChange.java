package arborline.core.edition;

import arborline.core.merge.MergeField;
import arborline.core.merge.MergeTool;
import arborline.core.merge.PlainText;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;

/**
 * A field that is not the same in two states of a tool.
 *
 * @param name as in {@link ToolFields}
 * @param before empty where it was not there
 * @param after empty where it is not there any more
 * @param writing true where only the unit or the decimals changed, not the size
 */
public record FieldChange(
    String name, Optional<String> before, Optional<String> after, boolean writing) {

  /** What is not the same, in the order of the names. */
  public static List<FieldChange> between(MergeTool before, MergeTool after) {
    Set<String> names = new TreeSet<>(before.fields().keySet());
    names.addAll(after.fields().keySet());
    List<FieldChange> changes = new ArrayList<>();
    for (String name : names) {
      MergeField was = before.fields().get(name);
      MergeField is = after.fields().get(name);
      boolean same = was != null && is != null && was.sameSize(is);
      String said = shown(was);
      String says = shown(is);
      if (!same || !said.equals(says)) {
        changes.add(
            new FieldChange(
                name,
                Optional.ofNullable(was).map(FieldChange::shown),
                Optional.ofNullable(is).map(FieldChange::shown),
                same));
      }
    }
    return changes;
  }

  private static String shown(MergeField field) {
    return field instanceof PlainText plain ? plain.text() : field == null ? "" : field.toString();
  }
}
