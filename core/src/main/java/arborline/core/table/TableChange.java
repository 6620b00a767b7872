package arborline.core.table;

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

  private static String orUnset(String text) {
    return text == null ? "not set" : text;
  }
}
