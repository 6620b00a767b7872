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
  SHOWN_TWICE("the control shows a tool in two places", ASK, SEND),
  UNKNOWN_TOOL("a tool that no library has is at the control", ASK, SEND),
  NOT_CARRIED("the control cannot keep something of a planned tool", ASK, TAKE),
  OFFSET_SHARED("two tools have one offset", ASK, SEND),
  IN_SPINDLE("a tool is in the spindle", LEAVE, SEND),
  IN_SPINDLE_CHANGED("a tool that has changes is in the spindle", ASK, SEND),
  NUMBER_IS_POCKET("a number of the plan is not that of its place", ASK, TAKE),
  NEVER_AGREED("plan and control differ and never agreed before", ASK, SEND, TAKE),
  NOT_IN_PLAN("a tool that nobody planned was put in at the machine", ASK, SEND, TAKE),
  PLAN_CLEARED("a tool was taken out of the plan and is still at the control", ASK, SEND, TAKE),
  MOVED_BY_CONTROL("the control put a tool into another place", TAKE, SEND),
  MOVED_AT_MACHINE("a tool was moved at the machine", ASK, SEND, TAKE),
  SWAPPED_AT_MACHINE("tools were swapped at the machine", ASK, SEND, TAKE),
  OTHER_TOOL_IN_PLACE("another tool than planned is in a place", ASK, SEND, TAKE),
  GONE_FROM_CONTROL("a planned tool is no longer at the control", ASK, SEND, TAKE),
  PLACE_OCCUPIED("the place of a planned tool is taken", ASK, SEND, TAKE),
  BOTH_CHANGED("plan and control were both changed", ASK, SEND, TAKE),
  NOT_MEASURED("a planned tool is not measured", ASK, TAKE),
  ZERO("a size is zero", ASK),
  DIAMETER_IN_RADIUS_REGISTER("a diameter stands where a radius is kept", ASK, SEND),
  RADIUS_IN_DIAMETER_REGISTER("a radius stands where a diameter is kept", ASK, SEND),
  FAR_FROM_NOMINAL("a size is far from what it should be", ASK, SEND, TAKE),
  BEYOND_MACHINE("a size is more than the machine takes", ASK, TAKE),
  NUMBER_TAKEN("a planned number is that of another tool at the control", ASK, TAKE),
  SHOWN_ELSEWHERE("a planned tool is shown in another place", ASK, SEND, TAKE),
  ORIENTATION_CHANGED_AT_CONTROL("a tip orientation was changed at the control", ASK, SEND, TAKE),
  NOT_SET("the control has forgotten that a tool is set", ASK, SEND),
  CHANGED_AT_CONTROL("something that the library says was changed at the control", ASK, SEND, TAKE),
  RENUMBERED_AT_CONTROL("a tool was given another number at the control", ASK, SEND, TAKE),
  OLD_WEAR_WITH_NEW_LENGTH(
      "a tool was measured anew and the control still has its old wear",
      ASK,
      SEND,
      SEND_ZERO_WEAR,
      TAKE),
  NEW_IN_PLAN("a tool is new in the plan", SEND, TAKE),
  PLANNED_CHANGE("the plan was changed", SEND, TAKE),
  NEW_PHYSICAL_TOOL("another physical tool is planned", SEND, TAKE),
  RENUMBERED_IN_PLAN("a tool has another number in the plan", SEND, TAKE),
  RENAMED_IN_PLAN("a tool has another name in the library", SEND, TAKE),
  MEASURED_AT_CONTROL("a tool was measured at the control", TAKE, SEND),
  MEASURED("a tool was measured anew", SEND, TAKE),
  WEAR_OF_CONTROL("the wear belongs to the control", TAKE),
  WITHIN_RESOLUTION("plan and control are the same as far as the control can show", LEAVE),
  EQUAL("plan and control are the same", LEAVE);

  private final String words;
  private final Decision proposed;
  private final Set<Decision> possible;

  Why(String words, Decision proposed, Decision... others) {
    this.words = words;
    this.proposed = proposed;
    EnumSet<Decision> all = EnumSet.of(proposed, others);
    all.add(LEAVE);
    all.remove(ASK);
    this.possible = all;
  }

  /** The same for every place of which it is true: {@code a size is zero}. */
  public String words() {
    return words;
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
