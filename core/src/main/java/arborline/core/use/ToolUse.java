package arborline.core.use;

import arborline.core.turning.Mounting.Work;
import java.math.BigDecimal;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * How a tool is used in a place.
 *
 * @param driven true where it turns, false where it stands still
 * @param spindle name of the spindle whose work it cuts; empty where the machine turns no work
 * @param angle between its axis and that of the work, degrees: 0 along, 90 across
 * @param work what it works on where it stands still
 * @param rakeUp true where its rake face is turned up
 * @param setPoint what its offsets state the place of
 * @param offsets its offset numbers, the first that of its first edge
 * @param climb true for climb milling
 * @param depth deepest it may go, mm; null for no own limit
 * @param speed fastest it may turn, 1/min; null for no own limit
 * @param hood height of the suction hood, mm; null where none is set
 * @param blower true where air is blown on it
 * @param coolant kind, in the machine's words; empty for none
 */
public record ToolUse(
    boolean driven,
    String spindle,
    BigDecimal angle,
    Work work,
    boolean rakeUp,
    SetPoint setPoint,
    List<Integer> offsets,
    boolean climb,
    @Nullable BigDecimal depth,
    @Nullable BigDecimal speed,
    @Nullable BigDecimal hood,
    boolean blower,
    String coolant) {

  public ToolUse {
    spindle = spindle == null ? "" : spindle;
    offsets = offsets == null ? List.of() : List.copyOf(offsets);
    coolant = coolant == null ? "" : coolant;
  }
}
