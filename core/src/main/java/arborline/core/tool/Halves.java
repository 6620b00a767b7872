package arborline.core.tool;

import java.math.BigDecimal;

/** Exact halving. */
public final class Halves {

  private static final BigDecimal HALF = new BigDecimal("0.5");

  private Halves() {}

  public static BigDecimal of(BigDecimal size) {
    BigDecimal half = size.multiply(HALF).stripTrailingZeros();
    return half.scale() < 0 ? half.setScale(0) : half;
  }
}
