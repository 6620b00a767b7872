package arborline.core.merge;

import java.util.Collections;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;

/**
 * A tool, holder or assembly as merging sees it.
 *
 * @param fields by name: {@code class}, {@code values.DC}, {@code cutting.MATERIAL/PURPOSE}
 * @param parts codes of the parts of an assembly
 * @param was its code in the base, where it was renamed since
 */
public record MergeTool(SortedMap<String, MergeField> fields, PartCodes parts, Optional<String> was)
    implements MergeContent {

  /** The name of the field that says what kind of tool it is. */
  public static final String CLASS = "class";

  public MergeTool {
    fields = Collections.unmodifiableSortedMap(new TreeMap<>(fields));
  }

  public MergeTool(Map<String, ? extends MergeField> fields, PartCodes parts) {
    this(new TreeMap<>(fields), parts, Optional.empty());
  }

  /** The same without its former code. */
  MergeTool settled() {
    return new MergeTool(fields, parts, Optional.empty());
  }

  MergeTool withParts(PartCodes others) {
    return new MergeTool(fields, others, was);
  }

  /** True where both are of one class. */
  boolean sameClass(MergeTool other) {
    return Optional.ofNullable(fields.get(CLASS))
        .equals(Optional.ofNullable(other.fields.get(CLASS)));
  }

  /** True where nothing differs but the writing; parts are left aside. */
  boolean sameFields(MergeTool other) {
    return fields.keySet().equals(other.fields.keySet())
        && fields.entrySet().stream()
            .allMatch(field -> field.getValue().sameSize(other.fields.get(field.getKey())));
  }
}
