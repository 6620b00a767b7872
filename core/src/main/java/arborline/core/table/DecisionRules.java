package arborline.core.table;

import java.util.EnumSet;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;

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
          Why.ORIENTATION_CHANGED_AT_CONTROL,
          Why.RENUMBERED_AT_CONTROL,
          Why.OLD_WEAR_WITH_NEW_LENGTH);

  private DecisionRules() {}

  /** True where a rule may answer it. */
  public static boolean answerable(Why why, Decision decision) {
    return ANSWERABLE.contains(why)
        && why.possible().contains(decision)
        && decision != Decision.LEAVE;
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
