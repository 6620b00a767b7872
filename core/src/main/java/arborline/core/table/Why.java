package arborline.core.table;

import static arborline.core.table.Decision.ASK;
import static arborline.core.table.Decision.LEAVE;
import static arborline.core.table.Decision.SEND;
import static arborline.core.table.Decision.SEND_ZERO_WEAR;
import static arborline.core.table.Decision.TAKE;

import java.util.EnumSet;
import java.util.Locale;
import java.util.Set;

/**
 * Why something is proposed about a place, the most urgent first. What cannot be told for certain
 * is asked; what a person may then answer stands beside it.
 */
public enum Why {
  SHOWN_TWICE(ASK, SEND),
  UNKNOWN_TOOL(ASK, SEND),
  NOT_CARRIED(ASK, TAKE),
  OFFSET_SHARED(ASK, SEND),
  IN_SPINDLE(LEAVE, SEND),
  IN_SPINDLE_CHANGED(ASK, SEND),
  NUMBER_IS_POCKET(ASK, TAKE),
  NEVER_AGREED(ASK, SEND, TAKE),
  NOT_IN_PLAN(ASK, SEND, TAKE),
  PLAN_CLEARED(ASK, SEND, TAKE),
  MOVED_BY_CONTROL(TAKE, SEND),
  MOVED_AT_MACHINE(ASK, SEND, TAKE),
  SWAPPED_AT_MACHINE(ASK, SEND, TAKE),
  OTHER_TOOL_IN_PLACE(ASK, SEND, TAKE),
  GONE_FROM_CONTROL(ASK, SEND, TAKE),
  PLACE_OCCUPIED(ASK, SEND, TAKE),
  BOTH_CHANGED(ASK, SEND, TAKE),
  NOT_MEASURED(ASK, TAKE),
  ZERO(ASK),
  DIAMETER_IN_RADIUS_REGISTER(ASK, SEND),
  RADIUS_IN_DIAMETER_REGISTER(ASK, SEND),
  FAR_FROM_NOMINAL(ASK, SEND, TAKE),
  BEYOND_MACHINE(ASK, TAKE),
  NUMBER_TAKEN(ASK, TAKE),
  SHOWN_ELSEWHERE(ASK, SEND, TAKE),
  ORIENTATION_CHANGED_AT_CONTROL(ASK, SEND, TAKE),
  NOT_SET(ASK, SEND),
  CHANGED_AT_CONTROL(ASK, SEND, TAKE),
  RENUMBERED_AT_CONTROL(ASK, SEND, TAKE),
  OLD_WEAR_WITH_NEW_LENGTH(ASK, SEND, SEND_ZERO_WEAR, TAKE),
  NEW_IN_PLAN(SEND, TAKE),
  PLANNED_CHANGE(SEND, TAKE),
  NEW_PHYSICAL_TOOL(SEND, TAKE),
  RENUMBERED_IN_PLAN(SEND, TAKE),
  RENAMED_IN_PLAN(SEND, TAKE),
  MEASURED_AT_CONTROL(TAKE, SEND),
  MEASURED(SEND, TAKE),
  WEAR_OF_CONTROL(TAKE),
  WITHIN_RESOLUTION(LEAVE),
  EQUAL(LEAVE);

  private final Decision proposed;
  private final Set<Decision> possible;

  Why(Decision proposed, Decision... others) {
    this.proposed = proposed;
    EnumSet<Decision> all = EnumSet.of(proposed, others);
    all.add(LEAVE);
    all.remove(ASK);
    this.possible = all;
  }

  /** What is proposed. */
  public Decision proposed() {
    return proposed;
  }

  /** What a person may decide. */
  public Set<Decision> possible() {
    return Set.copyOf(possible);
  }

  /** Stable name: {@code far-from-nominal}. */
  public String code() {
    return this == IN_SPINDLE_CHANGED
        ? "in-spindle"
        : name().toLowerCase(Locale.ROOT).replace('_', '-');
  }
}
