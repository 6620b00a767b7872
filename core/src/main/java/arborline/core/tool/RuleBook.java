package arborline.core.tool;

import arborline.core.finding.Finding;
import arborline.core.finding.Repair;
import arborline.core.property.Dictionary;
import arborline.core.property.Property;
import arborline.core.tool.rule.DepthWithinLength;
import arborline.core.tool.rule.DepthWithinTool;
import arborline.core.tool.rule.HandKnown;
import arborline.core.tool.rule.PlausibleSize;
import arborline.core.tool.rule.RampWithinRightAngle;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;

/** Judges a tool by its class: what is missing, what cannot be, what looks odd. */
public final class RuleBook {

  private static final System.Logger LOG = System.getLogger(RuleBook.class.getName());
  private static final Set<String> FAILED = ConcurrentHashMap.newKeySet();
  private static final List<Rule> COMMON =
      List.of(
          new PlausibleSize(),
          new HandKnown(),
          new RampWithinRightAngle(),
          new DepthWithinTool(),
          new DepthWithinLength());

  private RuleBook() {}

  /** All findings of a tool, in the order: class, missing values, rules. */
  public static List<Finding> judge(Tool tool) {
    var found = ToolClasses.named(tool.toolClass());
    if (found.isEmpty()) {
      return List.of(unknownClass(tool));
    }
    ClassSheet sheet = found.get().sheet();
    List<Finding> findings = new ArrayList<>(4);
    Completed completed = Completed.of(tool);
    for (String symbol : sheet.required()) {
      if (!tool.has(symbol)) {
        unwritten(symbol, sheet, tool, completed).ifPresent(findings::add);
      }
    }
    askAll(COMMON, tool, completed.tool(), findings);
    askAll(sheet.rules(), tool, completed.tool(), findings);
    return findings;
  }

  /** How many rules a tool of a class is asked; 0 for an unknown class. */
  public static int asked(String classId) {
    return ToolClasses.named(classId)
        .map(known -> COMMON.size() + known.sheet().rules().size())
        .orElse(0);
  }

  private static Optional<Finding> unwritten(
      String symbol, ClassSheet sheet, Tool tool, Completed completed) {
    if (completed.origins().containsKey(symbol)) {
      return Optional.of(implied(symbol, completed));
    }
    return sheet.needs(symbol, completed.tool())
        ? Optional.of(Missing.finding(sheet, symbol, tool))
        : Optional.empty();
  }

  private static void askAll(
      List<Rule> rules, Tool written, Tool completed, List<Finding> findings) {
    for (Rule rule : rules) {
      Tool judged = written == completed || rule.asWritten() ? written : completed;
      findings.addAll(ask(rule, judged));
    }
  }

  private static Finding implied(String symbol, Completed completed) {
    Value value = completed.tool().values().get(symbol);
    return Finding.note(
            "implied." + symbol,
            "%s %s %s %s"
                .formatted(
                    Dictionary.standard().get(symbol).name(),
                    symbol,
                    value,
                    completed.origins().get(symbol).text()),
            symbol)
        .withRepair(
            Repair.of(
                "implied." + symbol,
                "write %s down".formatted(symbol),
                Map.of(symbol, value.toString())));
  }

  /** What a rule says; a rule that fails is a defect of ours, told on this tool and logged once. */
  static List<Finding> ask(Rule rule, Tool tool) {
    try {
      return rule.complaints(tool);
    } catch (RuntimeException defect) {
      String name = rule.getClass().getSimpleName();
      if (FAILED.add(name)) {
        LOG.log(System.Logger.Level.ERROR, "rule " + name + " failed on " + tool, defect);
      }
      return List.of(
          Finding.query(
              "rule-failed",
              "the rule %s could not be asked, by a fault of ours that was logged: look at this tool yourself"
                  .formatted(name)));
    }
  }

  private static Finding unknownClass(Tool tool) {
    return tool.toolClass().isBlank()
        ? Finding.hold("class.missing", "no tool class is given", "CLASS")
        : Finding.hold(
            "class.unknown",
            "'%s' is not a tool class that we know".formatted(tool.toolClass()),
            "CLASS");
  }

  /** The finding for a required value that is not there. */
  private static final class Missing {

    static Finding finding(ClassSheet sheet, String symbol, Tool tool) {
      Property property = Dictionary.standard().get(symbol);
      Finding finding =
          sheet.asked().contains(symbol)
              ? Finding.query(
                  "missing." + symbol,
                  "the %s (%s) of this %s is not given yet"
                      .formatted(property.name(), symbol, sheet.title()),
                  symbol)
              : Finding.hold(
                  "missing." + symbol,
                  "%s needs its %s (%s)".formatted(sheet.named(), property.name(), symbol),
                  symbol);
      return Estimates.forMissing(sheet, symbol, tool).map(finding::withRepair).orElse(finding);
    }
  }
}
