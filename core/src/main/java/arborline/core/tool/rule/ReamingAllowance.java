package arborline.core.tool.rule;

import arborline.core.finding.Finding;
import arborline.core.tool.Rule;
import arborline.core.tool.Tool;
import java.math.BigDecimal;
import java.util.Optional;

/** DC - PHD between 0.1 and 0.4 mm. */
public final class ReamingAllowance implements Rule {

  private static final BigDecimal LEAST = new BigDecimal("0.1");
  private static final BigDecimal MOST = new BigDecimal("0.4");

  @Override
  public Optional<Finding> check(Tool tool) {
    BigDecimal diameter = tool.size("DC");
    BigDecimal pilot = tool.size("PHD");
    if (diameter == null || pilot == null) {
      return Optional.empty();
    }
    BigDecimal allowance = diameter.subtract(pilot);
    boolean usual = allowance.compareTo(LEAST) >= 0 && allowance.compareTo(MOST) <= 0;
    return usual || allowance.signum() <= 0
        ? Optional.empty()
        : Optional.of(
            Finding.query(
                "reaming-allowance",
                "the reamer leaves %s mm to cut; usual is 0.1 to 0.4 mm"
                    .formatted(allowance.toPlainString()),
                "PHD",
                "DC"));
  }
}
