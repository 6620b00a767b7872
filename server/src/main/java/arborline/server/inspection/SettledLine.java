package arborline.server.inspection;

import arborline.core.finding.Finding;
import arborline.core.finding.Severity;
import arborline.core.inspect.BelongingFindings;
import arborline.core.inspect.Clashes;
import arborline.core.inspect.Disposition;
import arborline.core.inspect.Inspected;
import arborline.core.inspect.Settled;
import arborline.core.stack.Component;
import arborline.core.tool.RuleBook;
import arborline.core.tool.Tool;
import arborline.core.vendor.ItemSaid;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

/** A line of which it is chosen what enters: judged by what the shop has afterwards. */
final class SettledLine {

  private SettledLine() {}

  /** A part that enters as somebody chose, or as follows from what its vendor changed. */
  static Inspected of(Inspected inspected, Component present, Settled settled) {
    Component arriving = inspected.component().orElseThrow();
    Component after = VendorLines.settled(arriving, present, settled);
    return judged(
        inspected,
        settled,
        new Outcome(
            present.code(),
            Clashes.differences(after, present),
            ItemSaid.of(present).values().keySet(),
            arriving.findings(),
            after.findings()));
  }

  /** A tool that enters as somebody chose, or as follows from what its vendor changed. */
  static Inspected of(Inspected inspected, Tool present, Settled settled) {
    Tool after = settled.of(inspected.tool(), present);
    return judged(
        inspected,
        settled,
        new Outcome(
            present.code(),
            Clashes.differences(after, present),
            ItemSaid.of(present).values().keySet(),
            RuleBook.judge(inspected.tool()),
            RuleBook.judge(after)));
  }

  /**
   * What a choice comes to.
   *
   * @param changes of what the shop has, in words
   * @param present fields of what the shop has now
   * @param before what rules say of what arrives
   * @param after what rules say of what the shop has then
   */
  private record Outcome(
      String code,
      List<String> changes,
      Set<String> present,
      List<Finding> before,
      List<Finding> after) {}

  private static Inspected judged(Inspected inspected, Settled settled, Outcome outcome) {
    if (settled.answer() == Settled.Answer.KEEP || nothing(inspected, settled, outcome)) {
      return inspected.with(List.of(Clashes.kept(outcome.code())), Disposition.SKIPPED);
    }
    List<Finding> findings = new ArrayList<>(inspected.findings());
    if (settled.answer() == Settled.Answer.MERGE) {
      Set<String> byRules =
          outcome.before().stream().map(Finding::code).collect(Collectors.toSet());
      findings.removeIf(finding ->
          ofTheWhole(finding)
              && (byRules.contains(finding.code())
                  || Collections.disjoint(finding.properties(), settled.fields())));
      outcome.after().stream().filter(SettledLine::ofTheWhole).forEach(findings::add);
    }
    lost(inspected, settled, outcome.present()).forEach(findings::add);
    findings.add(Clashes.changes(outcome.code(), outcome.changes()));
    return inspected.with(findings);
  }

  /** What the shop has is not taken away for what could not be told of what arrives. */
  private static List<Finding> lost(Inspected inspected, Settled settled, Set<String> present) {
    return ItemSaid.of(inspected.raw().item()).doubtful().entrySet().stream()
        .filter(doubt -> present.contains(doubt.getKey()))
        .filter(doubt -> taken(settled, doubt.getKey()))
        .map(doubt ->
            Finding.hold(
                "vendor-unreadable",
                "%s could not be read (%s): correct it on this line, or keep what the shop has"
                    .formatted(doubt.getKey(), doubt.getValue()),
                doubt.getKey()))
        .toList();
  }

  private static boolean taken(Settled settled, String field) {
    return settled.answer() == Settled.Answer.REPLACE || settled.fields().contains(field);
  }

  /** Nothing changes, and nothing that is taken could not be read. */
  private static boolean nothing(Inspected inspected, Settled settled, Outcome outcome) {
    boolean unread =
        ItemSaid.of(inspected.raw().item()).unread().keySet().stream()
            .anyMatch(field -> taken(settled, field));
    return outcome.changes().isEmpty() && !unread;
  }

  /**
   * What holds a tool and what it lacks is seen in what it becomes, not in what arrives of it; but
   * what could not be read of a value that is taken holds it still.
   */
  private static boolean ofTheWhole(Finding finding) {
    return (finding.severity() == Severity.HOLD || finding.code().startsWith("missing."))
        && !BelongingFindings.are(finding);
  }
}
