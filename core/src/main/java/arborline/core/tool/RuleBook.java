package arborline.core.tool;

import arborline.core.finding.Finding;
import arborline.core.property.Dictionary;
import arborline.core.property.Property;
import arborline.core.tool.rule.PlausibleSize;
import java.util.ArrayList;
import java.util.List;

/** Judges a tool by its class: what is missing, what cannot be, what looks odd. */
public final class RuleBook {

  private static final Rule SIZES = new PlausibleSize();

  private RuleBook() {}

  /** All findings of a tool, in the order: class, missing values, rules. */
  public static List<Finding> judge(Tool tool) {
    var found = ToolClasses.named(tool.toolClass());
    if (found.isEmpty()) {
      return List.of(unknownClass(tool));
    }
    ClassSheet sheet = found.get().sheet();
    List<Finding> findings = new ArrayList<>(4);
    for (String symbol : sheet.required()) {
      if (!tool.has(symbol)) {
        findings.add(Missing.finding(sheet, symbol, tool));
      }
    }
    SIZES.check(tool).ifPresent(findings::add);
    for (Rule rule : sheet.rules()) {
      rule.check(tool).ifPresent(findings::add);
    }
    return findings;
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
          Finding.hold(
              "missing." + symbol,
              "a %s needs its %s (%s)".formatted(sheet.title(), property.name(), symbol),
              symbol);
      return Estimates.forMissing(sheet, symbol, tool).map(finding::withRepair).orElse(finding);
    }
  }
}
