package arborline.core.table;

import java.util.List;
import java.util.Set;
import java.util.TreeSet;

/**
 * What was found at one place.
 *
 * @param state {@link State}
 * @param control as the control shows it, in its own terms
 * @param physicalStays true where the real piece in the place is the one that was agreed
 * @param fields the fields that differ; empty where the place is in step
 * @param why what is proposed, the most urgent of all
 * @param suggested what is proposed; OWNER where fields go different ways
 * @param reason why that is sensible
 */
public record PlaceReport(
    String place,
    State state,
    TableEntry plan,
    TableEntry agreed,
    TableEntry control,
    boolean inSpindle,
    boolean physicalStays,
    List<FieldReport> fields,
    Why why,
    Decision suggested,
    String reason) {

  /** How plan and control stand to each other at a place. */
  public enum State {
    IN_STEP,
    DIFFERS,
    /** The control holds a tool that no library of the shop has. */
    UNKNOWN_TOOL
  }

  /** The same with the reason why the control cannot keep the planned tool. */
  public PlaceReport notCarried(String refusal) {
    return with(Why.NOT_CARRIED, Decision.ASK, refusal);
  }

  /** The same with an answer to what was asked. */
  PlaceReport answered(Decision decision) {
    return with(why, decision, reason);
  }

  private PlaceReport with(Why question, Decision answer, String because) {
    return new PlaceReport(
        place,
        state,
        plan,
        agreed,
        control,
        inSpindle,
        physicalStays,
        fields,
        question,
        answer,
        because);
  }

  /** What may be decided about it: a tool that nobody names cannot be taken into the plan. */
  public Set<Decision> possible() {
    Set<Decision> possible =
        new TreeSet<>(
            suggested == Decision.OWNER
                ? Set.of(Decision.OWNER, Decision.SEND, Decision.TAKE, Decision.LEAVE)
                : why.possible());
    if (plan.empty() && !control.empty() && !control.named()) {
      possible.remove(Decision.TAKE);
    }
    return Set.copyOf(possible);
  }
}
