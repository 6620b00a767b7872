package arborline.core.table;

import java.util.EnumSet;
import java.util.HashSet;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * What a shop decided once for all about places of a machine. A rule answers a question; it never
 * answers what only a look into the pocket, a measurement or a touch-off can.
 */
public final class DecisionRules {

  /** Questions whose answer is a habit of the shop, not a fact about this one tool. */
  private static final Set<Why> ANSWERABLE =
      EnumSet.of(
          Why.NOT_IN_PLAN,
          Why.PLAN_CLEARED,
          Why.GONE_FROM_CONTROL,
          Why.CHANGED_AT_CONTROL,
          Why.RENUMBERED_AT_CONTROL,
          Why.OLD_WEAR_WITH_NEW_LENGTH);

  /**
   * Of these nobody knows what is in the pocket without looking: a rule may follow the control in
   * the plan, and never has anything written to the control.
   */
  private static final Set<Why> PLAN_ONLY =
      EnumSet.of(Why.NOT_IN_PLAN, Why.PLAN_CLEARED, Why.GONE_FROM_CONTROL);

  /**
   * Of these together nothing is sent: another tool may be in each of the pockets, or one with a
   * new edge that was measured at the machine.
   */
  private static final Set<Why> TOGETHER_PLAN_ONLY =
      EnumSet.of(
          Why.NOT_IN_PLAN,
          Why.PLAN_CLEARED,
          Why.GONE_FROM_CONTROL,
          Why.NEVER_AGREED,
          Why.MOVED_BY_CONTROL,
          Why.MEASURED_AT_CONTROL);

  /** These only a look at each tool can answer: never for several places at once. */
  private static final Set<Why> EACH_APART =
      EnumSet.of(
          Why.SHOWN_TWICE,
          Why.UNKNOWN_TOOL,
          Why.OFFSET_SHARED,
          Why.IN_SPINDLE,
          Why.IN_SPINDLE_CHANGED,
          Why.MOVED_AT_MACHINE,
          Why.SWAPPED_AT_MACHINE,
          Why.OTHER_TOOL_IN_PLACE,
          Why.PLACE_OCCUPIED,
          Why.BOTH_CHANGED,
          Why.ZERO,
          Why.DIAMETER_IN_RADIUS_REGISTER,
          Why.RADIUS_IN_DIAMETER_REGISTER,
          Why.FAR_FROM_NOMINAL,
          Why.BEYOND_MACHINE,
          Why.NUMBER_TAKEN,
          Why.SHOWN_ELSEWHERE,
          Why.ORIENTATION_CHANGED_AT_CONTROL);

  private DecisionRules() {}

  /** The question in words; empty where no rule may answer it. */
  public static Optional<String> question(Why why) {
    return ANSWERABLE.contains(why) ? Optional.of(why.words()) : Optional.empty();
  }

  /** True where a rule may answer it. */
  public static boolean answerable(Why why, Decision decision) {
    return ANSWERABLE.contains(why)
        && why.possible().contains(decision)
        && decision != Decision.LEAVE
        && (decision == Decision.TAKE || !PLAN_ONLY.contains(why));
  }

  /** Answers that can become a rule: none where more than one question is asked of the place. */
  public static Set<Decision> offered(PlaceReport report) {
    return report.suggested() == Decision.ASK && oneQuestion(report)
        ? report.possible().stream()
            .filter(decision -> answerable(report.why(), decision))
            .collect(Collectors.toUnmodifiableSet())
        : Set.of();
  }

  /**
   * What may be decided of this place together with others of which the same is said: none where
   * more than one question is asked of it, or only a look at this tool can answer it; nothing is
   * sent where its pocket may hold another tool than planned.
   */
  public static Set<Decision> together(PlaceReport report) {
    if (EACH_APART.contains(report.why()) || !oneQuestion(report)) {
      return Set.of();
    }
    return report.possible().stream()
        .filter(decision ->
            !TOGETHER_PLAN_ONLY.contains(report.why())
                || decision == Decision.TAKE
                || decision == Decision.LEAVE)
        .collect(Collectors.toUnmodifiableSet());
  }

  private static boolean oneQuestion(PlaceReport report) {
    return report.fields().stream()
        .filter(field -> field.suggested() == Decision.ASK)
        .allMatch(field -> field.why() == report.why());
  }

  /**
   * A report with the answer of the rules of its machine; the same where they do not answer every
   * question about the place in one way.
   *
   * @param rules by what they answer
   */
  public static PlaceReport applied(PlaceReport report, Map<Why, Decision> rules) {
    if (report.suggested() != Decision.ASK || rules.isEmpty()) {
      return report;
    }
    Set<Decision> answers = new HashSet<>();
    answers.add(rules.getOrDefault(report.why(), Decision.ASK));
    report.fields().stream()
        .filter(field -> field.suggested() == Decision.ASK)
        .forEach(field -> answers.add(rules.getOrDefault(field.why(), Decision.ASK)));
    if (answers.size() != 1) {
      return report;
    }
    Decision answer = answers.iterator().next();
    return answer != Decision.ASK && report.possible().contains(answer)
        ? report.answered(answer)
        : report;
  }
}
