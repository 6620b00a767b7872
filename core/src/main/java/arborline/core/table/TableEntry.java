package arborline.core.table;

import java.math.BigDecimal;
import java.util.Collections;
import java.util.EnumMap;
import java.util.Locale;
import java.util.Map;

/**
 * What one place of a tool table holds; a field that is not there is not set.
 *
 * @param fields numbers as decimal text
 */
public record TableEntry(Map<TableField, String> fields) {

  public static final TableEntry EMPTY = new TableEntry(Map.of());

  public TableEntry {
    EnumMap<TableField, String> copy = new EnumMap<>(TableField.class);
    copy.putAll(fields);
    fields = Collections.unmodifiableMap(copy);
  }

  /** The text of a field, or null where it is not set. */
  public String get(TableField field) {
    return fields.get(field);
  }

  /** The number of a field, or null where it is not set. */
  public BigDecimal number(TableField field) {
    String text = fields.get(field);
    return text == null ? null : new BigDecimal(text);
  }

  /** True where nothing is there: neither a tool nor, at a control that shows none, a size. */
  public boolean empty() {
    return !fields.containsKey(TableField.TOOL)
        && TableField.SIZES.stream().noneMatch(field -> set(fields.get(field)));
  }

  private static boolean set(String size) {
    return size != null && new BigDecimal(size).signum() != 0;
  }

  /** The tool's code in upper case; empty where none is shown. */
  public String key() {
    String tool = fields.get(TableField.TOOL);
    return tool == null ? "" : tool.toUpperCase(Locale.ROOT);
  }

  /** Tool and sister number: what tells two pieces in the magazine apart. */
  String identity() {
    return key() + "#" + fields.getOrDefault(TableField.SISTER, "");
  }

  /** A copy with one field set, or taken away where the text is null. */
  public TableEntry with(TableField field, String text) {
    EnumMap<TableField, String> changed = new EnumMap<>(TableField.class);
    changed.putAll(fields);
    if (text == null) {
      changed.remove(field);
    } else {
      changed.put(field, text);
    }
    return new TableEntry(changed);
  }
}
