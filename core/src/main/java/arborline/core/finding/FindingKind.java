package arborline.core.finding;

import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Under what findings of many lines are listed: all values that are missing, and all that follow
 * from others, are one question; everything else is a question of its own, named by its code.
 */
public final class FindingKind {

  private static final String MISSING = "missing";
  private static final String IMPLIED = "implied";

  private static final Map<String, String> ORDERS =
      Map.of(
          MISSING, "fill in all that is usual or follows",
          IMPLIED, "write all of them down");

  private FindingKind() {}

  /** The kind of the finding that has this code. */
  public static String of(String code) {
    int dot = code.indexOf('.');
    String first = dot < 0 ? code : code.substring(0, dot);
    return ORDERS.containsKey(first) ? first : code;
  }

  /** The order that applies every repair which findings of a kind offer; none for a single code. */
  public static Optional<String> orderOfAll(String kind) {
    return Optional.ofNullable(ORDERS.get(kind));
  }

  /**
   * What findings of a kind that takes in several codes say together.
   *
   * @param values the values that they are about, as they are called
   */
  public static String sentence(String kind, Severity severity, List<String> values) {
    String all = String.join(", ", values);
    if (kind.equals(IMPLIED)) {
      return "these values follow from others: " + all;
    }
    return (severity == Severity.HOLD ? "these values are needed: " : "not given yet: ") + all;
  }
}
