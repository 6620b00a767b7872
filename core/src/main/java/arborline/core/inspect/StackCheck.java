package arborline.core.inspect;

import arborline.core.exchange.RawItem;
import arborline.core.finding.Finding;
import arborline.core.finding.Severity;
import arborline.core.stack.Component;
import arborline.core.stack.Cutter;
import arborline.core.stack.PlannedStack;
import arborline.core.stack.Stack;
import arborline.core.tool.Tool;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;

/** Whether a stack that came with a tool can be built from the parts that are known. */
public final class StackCheck {

  private StackCheck() {}

  /**
   * What keeps it from being built, as queries: the tool may enter without it.
   *
   * @param parts the part of a code; nothing where there is none
   */
  public static List<Finding> obstacles(
      Tool tool, PlannedStack stack, Function<String, Optional<Component>> parts) {
    String title = stack.name().isEmpty() ? "the stack" : "stack '%s'".formatted(stack.name());
    List<Component> known = new ArrayList<>();
    List<Finding> findings = new ArrayList<>();
    for (String code : stack.parts()) {
      Optional<Component> part = parts.apply(code);
      part.ifPresent(known::add);
      if (part.isEmpty()) {
        findings.add(
            Finding.query(
                "part-missing",
                "part %s of %s is neither in this delivery nor in the shop: without it the stack is not taken"
                    .formatted(code, title),
                RawItem.CODE));
      }
    }
    if (!findings.isEmpty()) {
      return findings;
    }
    Optional<Cutter> cutter = Cutter.of(tool);
    if (cutter.isEmpty()) {
      return List.of(
          Finding.query(
              "stack-cutter",
              "%s is not taken: the length of the tool, or its shank, is not known"
                  .formatted(title),
              RawItem.CODE));
    }
    return built(stack, known, cutter.get()).findings().stream()
        .filter(finding -> finding.severity() == Severity.HOLD)
        .map(finding ->
            Finding.query(
                "stack-unsound",
                "%s is not taken: %s".formatted(title, finding.message()),
                RawItem.CODE))
        .toList();
  }

  /** The stack of its parts. */
  public static Stack built(PlannedStack stack, List<Component> parts, Cutter cutter) {
    double overhang = stack.overhang().doubleValue();
    return new Stack(
        stack.seat(),
        parts,
        cutter,
        overhang > 0 ? overhang : cutter.usualOverhang(parts.getLast().clamping().doubleValue()));
  }
}
