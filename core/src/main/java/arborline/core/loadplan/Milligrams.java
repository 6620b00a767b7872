package arborline.core.loadplan;

import java.math.BigDecimal;
import java.math.RoundingMode;

/** Masses as whole numbers for the solver, never rounded towards what is allowed. */
final class Milligrams {

  private static final BigDecimal PER_KILOGRAM = new BigDecimal(1_000_000);

  private Milligrams() {}

  static long up(BigDecimal kilograms) {
    return kilograms.multiply(PER_KILOGRAM).setScale(0, RoundingMode.CEILING).longValueExact();
  }

  static long down(BigDecimal kilograms) {
    return kilograms.multiply(PER_KILOGRAM).setScale(0, RoundingMode.FLOOR).longValueExact();
  }
}
