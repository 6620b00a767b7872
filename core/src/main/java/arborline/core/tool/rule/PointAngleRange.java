package arborline.core.tool.rule;

import arborline.core.finding.Finding;
import arborline.core.tool.Rule;
import arborline.core.tool.Tool;
import java.math.BigDecimal;
import java.util.Optional;

/** 0 < SIG ≤ 180. */
public final class PointAngleRange implements Rule {

  private static final BigDecimal FLAT = new BigDecimal("180");

  @Override
  public Optional<Finding> check(Tool tool) {
    BigDecimal angle = tool.size("SIG");
    return angle == null || angle.signum() > 0 && angle.compareTo(FLAT) <= 0
        ? Optional.empty()
        : Optional.of(
            Finding.hold(
                "point-angle-range",
                "point angle SIG %s is not between 0 and 180 deg"
                    .formatted(tool.values().get("SIG")),
                "SIG"));
  }
}
