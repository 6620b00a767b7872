package arborline.core.storage;

import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;

/** How far from the axis of a turret the corners of what it carries are. */
final class Swing {

  private Swing() {}

  /** Distance of a corner so far out and so far beside, mm, to the micrometre. */
  static BigDecimal corner(BigDecimal out, BigDecimal beside) {
    return out.multiply(out)
        .add(beside.multiply(beside))
        .sqrt(MathContext.DECIMAL64)
        .setScale(3, RoundingMode.HALF_UP)
        .stripTrailingZeros();
  }
}
