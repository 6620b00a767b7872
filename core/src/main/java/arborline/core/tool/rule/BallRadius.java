package arborline.core.tool.rule;

import arborline.core.finding.Finding;
import arborline.core.finding.Repair;
import arborline.core.tool.Halves;
import arborline.core.tool.Rule;
import arborline.core.tool.Tool;
import java.math.BigDecimal;
import java.util.Map;
import java.util.Optional;

/** RE = DC/2 within 0.001 mm: what makes a ball end a ball. */
public final class BallRadius implements Rule {

  private static final BigDecimal TOLERANCE = new BigDecimal("0.001");

  @Override
  public Optional<Finding> check(Tool tool) {
    BigDecimal radius = tool.size("RE");
    BigDecimal diameter = tool.size("DC");
    if (radius == null || diameter == null) {
      return Optional.empty();
    }
    BigDecimal half = Halves.of(diameter);
    return radius.subtract(half).abs().compareTo(TOLERANCE) <= 0
        ? Optional.empty()
        : Optional.of(
            Finding.hold(
                    "ball-radius",
                    "ball radius RE is %s, half of DC is %s mm"
                        .formatted(tool.values().get("RE"), half.toPlainString()),
                    "RE",
                    "DC")
                .withRepair(
                    Repair.of(
                        "ball-radius",
                        "set RE to half of DC",
                        Map.of("RE", half.toPlainString() + " mm"))));
  }
}
