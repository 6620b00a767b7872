package arborline.core.tool.rule;

import arborline.core.finding.Finding;
import arborline.core.tool.Halves;
import arborline.core.tool.Rule;
import arborline.core.tool.Tool;
import java.math.BigDecimal;
import java.util.Optional;

/** RE ≤ DC/2. */
public final class CornerWithinDiameter implements Rule {

  @Override
  public Optional<Finding> check(Tool tool) {
    BigDecimal radius = tool.size("RE");
    BigDecimal diameter = tool.size("DC");
    return radius == null || diameter == null || radius.compareTo(Halves.of(diameter)) <= 0
        ? Optional.empty()
        : Optional.of(
            Finding.hold(
                "corner-beyond-diameter",
                "corner radius RE %s is more than half of DC %s"
                    .formatted(tool.values().get("RE"), tool.values().get("DC")),
                "RE",
                "DC"));
  }
}
