package arborline.core.tool.rule;

import arborline.core.finding.Finding;
import arborline.core.finding.Repair;
import arborline.core.tool.Rule;
import arborline.core.tool.Tool;
import java.math.BigDecimal;
import java.util.Map;
import java.util.Optional;

/** A rectangular shank is at least as high as it is wide. Source: ISO 5610, sections h x b. */
public final class ShankUpright implements Rule {

  @Override
  public Optional<Finding> check(Tool tool) {
    BigDecimal height = tool.size("H");
    BigDecimal width = tool.size("B");
    if (height == null || width == null || width.compareTo(height) <= 0) {
      return Optional.empty();
    }
    String high = tool.values().get("H").toString();
    String wide = tool.values().get("B").toString();
    return Optional.of(
        Finding.hold(
                "shank-lies",
                "shank width B %s is more than its height H %s".formatted(wide, high),
                "B",
                "H")
            .withRepair(Repair.of("swap.H.B", "swap H and B", Map.of("H", wide, "B", high))));
  }
}
