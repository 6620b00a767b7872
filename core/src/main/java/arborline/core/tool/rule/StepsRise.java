package arborline.core.tool.rule;

import arborline.core.finding.Finding;
import arborline.core.tool.Rule;
import arborline.core.tool.Tool;
import java.util.List;
import java.util.Optional;

/** DC < DC1 < DC2 and SDL1 < SDL2: every step is wider and further from the tip. */
public final class StepsRise implements Rule {

  @Override
  public Optional<Finding> check(Tool tool) {
    return rising(tool, List.of("DC", "DC1", "DC2"))
        .or(() -> rising(tool, List.of("SDL1", "SDL2")));
  }

  private static Optional<Finding> rising(Tool tool, List<String> symbols) {
    List<String> stated = symbols.stream().filter(tool::has).toList();
    for (int i = 1; i < stated.size(); i++) {
      String before = stated.get(i - 1);
      String after = stated.get(i);
      if (tool.size(after).compareTo(tool.size(before)) <= 0) {
        return Optional.of(
            Finding.hold(
                "steps-fall",
                "%s %s is not more than %s %s"
                    .formatted(after, tool.values().get(after), before, tool.values().get(before)),
                after,
                before));
      }
    }
    return Optional.empty();
  }
}
