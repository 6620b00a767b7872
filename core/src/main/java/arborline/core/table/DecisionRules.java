package arborline.core.table;

import java.util.EnumMap;
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
  private static final Map<Why, String> ANSWERABLE =
      new EnumMap<>(
          Map.of(
              Why.NOT_IN_PLAN, "a tool that nobody planned was put in at the machine",
              Why.PLAN_CLEARED, "a tool was taken out of the plan and is still at the control",
              Why.GONE_FROM_CONTROL, "a planned tool is no longer at the control",
              Why.CHANGED_AT_CONTROL, "something that the library says was changed at the control",
              Why.RENUMBERED_AT_CONTROL, "a tool was given another number at the control",
              Why.OLD_WEAR_WITH_NEW_LENGTH,
                  "a tool was measured anew and the control still has its old wear"));

  /**
   * Of these nobody knows what is in the pocket without looking: a rule may follow the control in
   * the plan, and never has anything written to the control.
   */
  private static final Set<Why> PLAN_ONLY =
      EnumSet.of(Why.NOT_IN_PLAN, Why.PLAN_CLEARED, Why.GONE_FROM_CONTROL);

  private DecisionRules() {}

  /** The question in words; empty where no rule may answer it. */
  public static Optional<String> question(Why why) {
    return Optional.ofNullable(ANSWERABLE.get(why));
  }

  /** True where a rule may answer it. */
  public static boolean answerable(Why why, Decision decision) {
    return ANSWERABLE.containsKey(why)
        && why.possible().contains(decision)
        && decision != Decision.LEAVE
        && (decision == Decision.TAKE || !PLAN_ONLY.contains(why));
  }

  /** Answers that can become a rule: none where more than one question is asked of the place. */
  public static Set<Decision> offered(PlaceReport report) {
    boolean alone =
        report.suggested() == Decision.ASK
            && report.fields().stream()
                .filter(field -> field.suggested() == Decision.ASK)
                .allMatch(field -> field.why() == report.why());
    return alone
        ? report.possible().stream()
            .filter(decision -> answerable(report.why(), decision))
            .collect(Collectors.toUnmodifiableSet())
        : Set.of();
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
