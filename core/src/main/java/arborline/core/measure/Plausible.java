package arborline.core.measure;

import arborline.core.quantity.Unit;
import java.math.BigDecimal;

/**
 * Sizes that a tool may have: within its tolerance of nominal; where none is stated, within 2 mm
 * (0.08 in) of a length and 5 % of a diameter or radius. A tool that was ground again may be 1.5 mm
 * (0.06 in) shorter or 5 % thinner than that, and never larger.
 */
final class Plausible {

  private static final BigDecimal PART = new BigDecimal("0.05");
  private static final BigDecimal LENGTH_MM = new BigDecimal("2");
  private static final BigDecimal LENGTH_IN = new BigDecimal("0.08");
  private static final BigDecimal GROUND_MM = new BigDecimal("1.5");
  private static final BigDecimal GROUND_IN = new BigDecimal("0.06");

  private final Unit unit;
  private final MeasuredSize size;

  Plausible(Unit unit, MeasuredSize size) {
    this.unit = unit;
    this.size = size;
  }

  /** True where a tool may have a size; any above zero where its nominal one is not known. */
  boolean holds(MeasuredRow row, BigDecimal value) {
    if (value.signum() <= 0) {
      return false;
    }
    if (row.nominal().isEmpty()) {
      return true;
    }
    BigDecimal nominal = row.nominal().get();
    BigDecimal window = row.tolerance().orElseGet(() -> length(LENGTH_MM, LENGTH_IN, nominal));
    BigDecimal less =
        row.since() == SinceMeasured.REGROUND
            ? length(GROUND_MM, GROUND_IN, nominal)
            : BigDecimal.ZERO;
    return value.compareTo(nominal.subtract(window).subtract(less)) >= 0
        && value.compareTo(nominal.add(window)) <= 0;
  }

  /** So much of a length; of a diameter or radius a part. */
  private BigDecimal length(BigDecimal millimetres, BigDecimal inches, BigDecimal nominal) {
    if (size != MeasuredSize.LENGTH) {
      return nominal.multiply(PART);
    }
    return unit == Unit.INCH ? inches : millimetres;
  }
}
