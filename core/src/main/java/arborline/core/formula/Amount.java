package arborline.core.formula;

import java.math.BigDecimal;

/**
 * A number while a formula is worked out.
 *
 * @param value in mm, min, deg and the base units of the other kinds
 * @param bare true for a number that was written without a unit and takes the unit of what it is
 *     added to or compared with
 */
record Amount(BigDecimal value, Dimension dimension, boolean bare) {

  static Amount bare(BigDecimal value) {
    return new Amount(value, Dimension.NUMBER, true);
  }
}
