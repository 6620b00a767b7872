package arborline.core.inspect;

import arborline.core.cutting.CuttingEntry;
import arborline.core.exchange.ItemKind;
import arborline.core.exchange.RawBundle;
import arborline.core.finding.Finding;
import arborline.core.stack.Component;
import arborline.core.stack.PlannedStack;
import arborline.core.tool.Tool;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;

/**
 * A line with the judgement on it.
 *
 * @param kind what it is
 * @param tool what was understood; of a part only code and name
 * @param component the part, where it is one
 * @param cutting its cutting data that can be taken
 * @param stacks its stacks that can be taken, once their parts are known
 */
public record Inspected(
    RawBundle raw,
    ItemKind kind,
    Tool tool,
    Optional<Component> component,
    OptionalInt number,
    List<CuttingEntry> cutting,
    List<PlannedStack> stacks,
    List<Finding> findings,
    Disposition disposition) {

  /** The same with other findings; they say where it ends up. */
  public Inspected with(List<Finding> others) {
    return with(others, Disposition.of(others));
  }

  /** The same with other findings and another place where it ends up. */
  public Inspected with(List<Finding> others, Disposition other) {
    return new Inspected(
        raw, kind, tool, component, number, cutting, stacks, List.copyOf(others), other);
  }
}
