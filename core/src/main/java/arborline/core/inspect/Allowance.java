package arborline.core.inspect;

import arborline.core.finding.Finding;
import arborline.core.finding.Severity;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;

/**
 * What somebody may let in with a reason although it holds: doubts about sizes, never what a tool
 * cannot be without or what was not understood.
 */
public final class Allowance {

  private static final Set<String> NEVER =
      Set.of(
          "not-a-number",
          "unit-unknown",
          "not-a-value",
          "not-a-tool",
          "text-too-long",
          "cell-too-long",
          "cell-count",
          "nothing-read",
          "kind-undeclared",
          "line-failed",
          "number-not-whole",
          "bodies-unreadable",
          "tool-missing",
          "thousands-or-decimal",
          "factor-impossible",
          "definition-differs");
  private static final List<String> NEVER_LIKE =
      List.of(
          "code-",
          "name-",
          "class.",
          "missing.",
          "formula-",
          "date-for-",
          "cutting-",
          "stack-",
          "component-",
          "vendor-");

  private Allowance() {}

  /** True for a finding that a reason may outweigh. */
  public static boolean possible(Finding finding) {
    return finding.severity() == Severity.HOLD
        && !NEVER.contains(finding.code())
        && NEVER_LIKE.stream().noneMatch(finding.code()::startsWith);
  }

  /** The findings with those that may be allowed made notes that tell the reason. */
  public static List<Finding> of(List<Finding> findings, String reason) {
    List<Finding> after = new ArrayList<>();
    for (Finding finding : findings) {
      after.add(
          possible(finding)
              ? new Finding(
                  finding.code(),
                  Severity.NOTE,
                  "%s; allowed: %s".formatted(finding.message(), reason),
                  finding.properties(),
                  finding.repair())
              : finding);
    }
    return after;
  }
}
