package arborline.core.tool.rule;

import arborline.core.finding.Finding;
import arborline.core.finding.Repair;
import arborline.core.tool.Rule;
import arborline.core.tool.Tool;
import java.math.BigDecimal;
import java.util.Map;
import java.util.Optional;

/** PHD ≈ TD - TP for a cutting tap, within 0.1·TP. Source: workshop handbook, tap drill sizes. */
public final class TapDrill implements Rule {

  private static final BigDecimal TOLERANCE = new BigDecimal("0.1");

  @Override
  public Optional<Finding> check(Tool tool) {
    BigDecimal hole = tool.size("PHD");
    BigDecimal diameter = tool.size("TD");
    BigDecimal pitch = tool.size("TP");
    if (hole == null || diameter == null || pitch == null) {
      return Optional.empty();
    }
    BigDecimal usual = diameter.subtract(pitch);
    return hole.subtract(usual).abs().compareTo(pitch.multiply(TOLERANCE)) <= 0
        ? Optional.empty()
        : Optional.of(
            Finding.query(
                    "tap-drill",
                    "pre-machined hole PHD is %s, thread diameter less pitch is %s mm"
                        .formatted(tool.values().get("PHD"), usual.toPlainString()),
                    "PHD",
                    "TD",
                    "TP")
                .withRepair(
                    Repair.of(
                        "tap-drill",
                        "set PHD to thread diameter less pitch",
                        Map.of("PHD", usual.toPlainString() + " mm"))));
  }
}
