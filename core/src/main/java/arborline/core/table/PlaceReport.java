package arborline.core.table;

import java.util.List;

/**
 * What was found at one place.
 *
 * @param state {@link State}
 * @param fields the fields that differ; empty where the place is in step
 * @param suggested the sensible default
 * @param reason why that is sensible
 * @param takeable false where the control's tool is unknown to the shop
 */
public record PlaceReport(
    String place,
    State state,
    TableEntry plan,
    TableEntry agreed,
    TableEntry control,
    boolean inSpindle,
    List<FieldReport> fields,
    Decision suggested,
    String reason,
    boolean takeable) {

  /** How plan and control stand to each other at a place. */
  public enum State {
    IN_STEP,
    DIFFERS,
    /** The control holds a tool that no library of the shop has. */
    UNKNOWN_TOOL
  }
}
