package arborline.core.table;

import java.math.BigDecimal;
import java.util.Collections;
import java.util.EnumMap;
import java.util.Locale;
import java.util.Map;

/**
 * What one place of a tool table holds; a field that is not there is not set. What a comparison
 * asks of it again and again is worked out once.
 */
public final class TableEntry {

  public static final TableEntry EMPTY = new TableEntry(Map.of());

  /** No code has it. */
  private static final char BEFORE_SISTER = '\0';

  private final String[] texts = new String[TableField.values().length];
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
    fields.forEach((field, text) -> texts[field.ordinal()] = text);
    this.content = content(texts);
    String tool = get(TableField.TOOL);
    String sister = get(TableField.SISTER);
    this.key = tool == null ? "" : tool.toUpperCase(Locale.ROOT);
    this.named = !key.isEmpty();
    this.identity = sister == null || sister.isEmpty() ? key : key + BEFORE_SISTER + sister;
    this.empty = tool == null && TableField.SIZES.stream().noneMatch(field -> set(get(field)));
  }

  /**
   * All texts as one, each behind a character that counts one more than its own (0 where it is not
   * set), so that two entries are compared in one go.
   */
  private static String content(String[] texts) {
    StringBuilder content = new StringBuilder();
    for (String text : texts) {
      content
          .append((char) (text == null ? 0 : text.length() + 1))
          .append(text == null ? "" : text);
    }
    return content.toString();
  }

  private static boolean set(String size) {
    return size != null && new BigDecimal(size).signum() != 0;
  }

  /** Every field that is set, in the order of the fields. */
  public Map<TableField, String> fields() {
    EnumMap<TableField, String> fields = new EnumMap<>(TableField.class);
    for (TableField field : TableField.values()) {
      if (get(field) != null) {
        fields.put(field, get(field));
      }
    }
    return Collections.unmodifiableMap(fields);
  }

  /** The text of a field, or null where it is not set. */
  public String get(TableField field) {
    return texts[field.ordinal()];
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
  boolean named() {
    return named;
  }

  /** Tool and sister number: what tells two pieces in the magazine apart. */
  String identity() {
    return identity;
  }

  /** A copy with one field set, or taken away where the text is null. */
  public TableEntry with(TableField field, String text) {
    EnumMap<TableField, String> changed = new EnumMap<>(TableField.class);
    changed.putAll(fields());
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
