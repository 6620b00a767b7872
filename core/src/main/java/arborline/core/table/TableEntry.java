package arborline.core.table;

import java.math.BigDecimal;
import java.util.Collections;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.TreeMap;

/**
 * What one place of a tool table holds; a field that is not there is not set. What a comparison
 * asks of it again and again is worked out once.
 */
public final class TableEntry {

  public static final TableEntry EMPTY = new TableEntry(Map.of());

  /** No id of a field has it. */
  private static final char BEFORE_LENGTH = '\0';

  /** No code has it. */
  private static final char BEFORE_SISTER = '\0';

  private final TableField[] fields;
  private final String[] texts;
  private final String content;
  private final String key;
  private final String identity;
  private final boolean named;
  private final boolean empty;

  /**
   * An entry of these fields.
   *
   * @param fields numbers as decimal text
   */
  public TableEntry(Map<TableField, String> fields) {
    TreeMap<TableField, String> set = new TreeMap<>(fields);
    set.values().removeIf(Objects::isNull);
    this.fields = set.keySet().toArray(TableField[]::new);
    this.texts = set.values().toArray(String[]::new);
    this.content = content(set);
    String tool = get(TableField.TOOL);
    String sister = get(TableField.SISTER);
    this.key = tool == null ? "" : tool.toUpperCase(Locale.ROOT);
    this.named = !key.isEmpty();
    this.identity = sister == null || sister.isEmpty() ? key : key + BEFORE_SISTER + sister;
    this.empty = tool == null && noSize();
  }

  /**
   * All texts as one, each behind its field and a character that counts its own, so that two
   * entries are compared in one go.
   */
  private static String content(Map<TableField, String> set) {
    StringBuilder content = new StringBuilder();
    set.forEach((field, text) ->
        content.append(field.id()).append(BEFORE_LENGTH).append((char) text.length()).append(text));
    return content.toString();
  }

  private boolean noSize() {
    for (int i = 0; i < fields.length; i++) {
      if (fields[i].measured() && set(texts[i])) {
        return false;
      }
    }
    return true;
  }

  private static boolean set(String size) {
    return size != null && new BigDecimal(size).signum() != 0;
  }

  /** Every field that is set, in the order of the fields. */
  public Map<TableField, String> fields() {
    TreeMap<TableField, String> set = new TreeMap<>();
    for (int i = 0; i < fields.length; i++) {
      set.put(fields[i], texts[i]);
    }
    return Collections.unmodifiableMap(set);
  }

  /** The text of a field, or null where it is not set. */
  public String get(TableField field) {
    for (int i = 0; i < fields.length; i++) {
      if (fields[i].equals(field)) {
        return texts[i];
      }
    }
    return null;
  }

  /** The number of a field, or null where it is not set. */
  public BigDecimal number(TableField field) {
    String text = get(field);
    return text == null ? null : new BigDecimal(text);
  }

  /** True where nothing is there: neither a tool nor, at a control that shows none, a size. */
  public boolean empty() {
    return empty;
  }

  /** The tool's code in upper case; empty where none is shown. */
  public String key() {
    return key;
  }

  /** True where it says which tool it is. */
  public boolean named() {
    return named;
  }

  /** Tool and sister number: what tells two pieces in the magazine apart. */
  public String identity() {
    return identity;
  }

  /** A copy with what the control counts and wears off taken from another row. */
  public TableEntry countedAs(TableEntry control) {
    TreeMap<TableField, String> changed = new TreeMap<>(fields());
    changed.keySet().removeIf(field -> field.owner() == Owner.CONTROL);
    control
        .fields()
        .forEach((field, text) -> {
          if (field.owner() == Owner.CONTROL) {
            changed.put(field, text);
          }
        });
    return new TableEntry(changed);
  }

  /** A copy with one field set, or taken away where the text is null. */
  public TableEntry with(TableField field, String text) {
    TreeMap<TableField, String> changed = new TreeMap<>(fields());
    if (text == null) {
      changed.remove(field);
    } else {
      changed.put(field, text);
    }
    return new TableEntry(changed);
  }

  @Override
  public boolean equals(Object other) {
    return this == other || other instanceof TableEntry entry && content.equals(entry.content);
  }

  @Override
  public int hashCode() {
    return content.hashCode();
  }

  @Override
  public String toString() {
    return fields().toString();
  }
}
