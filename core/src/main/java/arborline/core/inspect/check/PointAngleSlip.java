package arborline.core.inspect.check;

import arborline.core.finding.Finding;
import arborline.core.finding.Repair;
import arborline.core.tool.Tool;
import com.google.auto.service.AutoService;
import java.math.BigDecimal;
import java.util.Map;
import java.util.Optional;

/** A point angle that no drill has, and that one has once its decimal point is put right. */
@AutoService(InspectionCheck.class)
public final class PointAngleSlip implements InspectionCheck {

  /** Sharper points than this are no drill's. */
  private static final BigDecimal SHARPEST = BigDecimal.valueOf(50);

  private static final BigDecimal FLATTEST = BigDecimal.valueOf(180);

  @Override
  public Optional<Finding> find(Tool written, Tool completed) {
    BigDecimal angle = written.size("SIG");
    boolean drill = written.toolClass().startsWith("drill");
    if (!drill || angle == null || angle.signum() <= 0 || angle.compareTo(SHARPEST) >= 0) {
      return Optional.empty();
    }
    BigDecimal meant = angle.multiply(BigDecimal.TEN).stripTrailingZeros();
    Finding finding =
        Finding.query(
            "point-angle-slip",
            "point angle SIG %s\u00b0 is sharper than a drill has: %s\u00b0 is meant?"
                .formatted(angle.toPlainString(), meant.toPlainString()),
            "SIG");
    boolean usual = meant.compareTo(SHARPEST) > 0 && meant.compareTo(FLATTEST) <= 0;
    return Optional.of(
        usual
            ? finding.withRepair(
                Repair.of(
                    "point-angle-slip",
                    "take ten times the point angle",
                    Map.of("SIG", meant.toPlainString())))
            : finding);
  }
}
