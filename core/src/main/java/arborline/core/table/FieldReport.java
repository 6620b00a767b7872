package arborline.core.table;

/**
 * One field that differs at a place.
 *
 * @param plan text of the plan, or null
 * @param agreed text of the last agreed state, or null
 * @param control text of the control, or null
 * @param suggested which way it should go: SEND, TAKE or LEAVE
 * @param reason why, in a sentence
 */
public record FieldReport(
    TableField field,
    String plan,
    String agreed,
    String control,
    Decision suggested,
    String reason) {}
