package arborline.core.tool.rule;

import arborline.core.finding.Finding;
import arborline.core.finding.Repair;
import arborline.core.finding.Severity;
import arborline.core.property.Dictionary;
import arborline.core.tool.Rule;
import arborline.core.tool.Tool;
import java.math.BigDecimal;
import java.util.Map;
import java.util.Optional;

/** One length may not exceed another; where it does, lowering it to the other is offered. */
abstract class AtMost implements Rule {

  private final String code;
  private final Severity severity;
  private final String lesser;
  private final String greater;
  private final boolean equalAllowed;

  AtMost(String code, Severity severity, String lesser, String greater, boolean equalAllowed) {
    this.code = code;
    this.severity = severity;
    this.lesser = lesser;
    this.greater = greater;
    this.equalAllowed = equalAllowed;
  }

  @Override
  public Optional<Finding> check(Tool tool) {
    BigDecimal small = tool.size(lesser);
    if (small == null) {
      return Optional.empty();
    }
    BigDecimal large = tool.size(greater);
    if (large == null) {
      return Optional.empty();
    }
    int order = small.compareTo(large);
    return order < 0 || order == 0 && equalAllowed ? Optional.empty() : Optional.of(finding(tool));
  }

  private Finding finding(Tool tool) {
    String relation = equalAllowed ? "is more than" : "is not less than";
    Finding finding =
        Finding.of(
            code,
            severity,
            "%s %s %s %s %s %s"
                .formatted(
                    name(lesser),
                    lesser,
                    tool.values().get(lesser),
                    relation,
                    name(greater),
                    greater + " " + tool.values().get(greater)),
            lesser,
            greater);
    return equalAllowed
        ? finding.withRepair(
            Repair.of(
                "limit." + lesser + "." + greater,
                "lower %s to %s".formatted(lesser, greater),
                Map.of(lesser, tool.values().get(greater).toString())))
        : finding;
  }

  private static String name(String symbol) {
    return Dictionary.standard().get(symbol).name();
  }
}
