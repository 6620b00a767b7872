package arborline.core.table;

import java.math.BigDecimal;

/**
 * A field of a place that became another one between two readings of a control.
 *
 * @param was as the control showed it; null where it was not set
 * @param became as it shows it now; null where it is not set
 */
public record TableChange(String place, TableField field, String was, String became) {

  /** The same in words, without the place. */
  public String words() {
    return "%s was %s, now %s".formatted(field.title(), orUnset(was), orUnset(became));
  }

  /**
   * True where the place became what an entry says, however it is written.
   *
   * @param target everything that it says of the place, in the control's terms
   */
  public boolean became(TableEntry target) {
    String meant = target.get(field);
    if (!field.says(meant) || !field.says(became)) {
      return field.says(meant) == field.says(became);
    }
    return field.form() == TableField.Form.WORD
        ? meant.equalsIgnoreCase(became)
        : new BigDecimal(meant).compareTo(new BigDecimal(became)) == 0;
  }

  private static String orUnset(String text) {
    return text == null ? "not set" : text;
  }
}
