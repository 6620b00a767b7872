package arborline.core.tool.rule;

import arborline.core.finding.Finding;
import arborline.core.finding.Repair;
import arborline.core.tool.Rule;
import arborline.core.tool.Tool;
import java.math.BigDecimal;
import java.util.Map;
import java.util.Optional;

/** RE = 0 for a square end. */
public final class SharpCorner implements Rule {

  @Override
  public Optional<Finding> check(Tool tool) {
    BigDecimal radius = tool.size("RE");
    return radius == null || radius.signum() == 0
        ? Optional.empty()
        : Optional.of(
            Finding.hold(
                    "corner-not-sharp",
                    "a flat end mill has no corner radius, RE is " + tool.values().get("RE"),
                    "RE",
                    "CLASS")
                .withRepair(
                    Repair.of(
                        "class.corner-radius",
                        "make it a corner-radius end mill",
                        Map.of("CLASS", "end-mill-corner-radius"))));
  }
}
