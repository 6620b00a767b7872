package arborline.core.tool.rule;

import arborline.core.finding.Finding;
import arborline.core.finding.Repair;
import arborline.core.tool.Rule;
import arborline.core.tool.Tool;
import java.math.BigDecimal;
import java.util.Map;
import java.util.Optional;

/** RE is above zero where the corner is what the tool is named after. */
public final class RoundedCorner implements Rule {

  @Override
  public Optional<Finding> check(Tool tool) {
    BigDecimal radius = tool.size("RE");
    return radius == null || radius.signum() != 0
        ? Optional.empty()
        : Optional.of(
            Finding.hold(
                    "corner-not-rounded",
                    "a corner-radius end mill has a corner radius, RE is "
                        + tool.values().get("RE"),
                    "RE",
                    "CLASS")
                .withRepair(
                    Repair.of(
                        "class.flat",
                        "make it a flat end mill",
                        Map.of("CLASS", "end-mill-flat"))));
  }
}
