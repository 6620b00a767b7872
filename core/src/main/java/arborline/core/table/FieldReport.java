package arborline.core.table;

/**
 * One field that differs at a place.
 *
 * @param plan text of the plan in mm and diameters, or null
 * @param agreed text of the last agreed state, or null
 * @param control text of the control in its own terms, or null
 * @param reason why, in a sentence
 */
public record FieldReport(
    TableField field, String plan, String agreed, String control, Why why, String reason) {

  /** Which way it should go. */
  public Decision suggested() {
    return why.proposed();
  }
}
