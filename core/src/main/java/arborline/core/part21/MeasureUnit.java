package arborline.core.part21;

import arborline.core.quantity.Unit;
import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;

/**
 * A unit of a file: so many of one of ours.
 *
 * @param unit ours
 * @param factor how many of it are one of the file's
 */
public record MeasureUnit(Unit unit, BigDecimal factor) {

  private static final int DIGITS = 12;

  static MeasureUnit of(Unit unit) {
    return new MeasureUnit(unit, BigDecimal.ONE);
  }

  MeasureUnit times(BigDecimal other) {
    return new MeasureUnit(unit, factor.multiply(other));
  }

  /**
   * A number in our unit: as it is written where the units are the same, else multiplied; where the
   * factor is no exact one, as that of a radian, to twelve digits.
   */
  BigDecimal amount(BigDecimal number) {
    if (factor.compareTo(BigDecimal.ONE) == 0) {
      return number;
    }
    return sensible(number.multiply(factor));
  }

  /** A number to twelve digits, without zeros that say nothing. */
  static BigDecimal sensible(BigDecimal number) {
    if (number.precision() <= DIGITS) {
      return number;
    }
    BigDecimal rounded =
        number.round(new MathContext(DIGITS, RoundingMode.HALF_EVEN)).stripTrailingZeros();
    return rounded.scale() < 0 ? rounded.setScale(0) : rounded;
  }

  /** The same in the one of our units that it is exactly, such as inches for 25.4 mm. */
  MeasureUnit named() {
    if (unit != Unit.MILLIMETRE) {
      return factor.subtract(BigDecimal.ONE).abs().compareTo(NEARLY) < 0 ? of(unit) : this;
    }
    return factor.compareTo(INCH) == 0 ? of(Unit.INCH) : this;
  }

  private static final BigDecimal INCH = new BigDecimal("25.4");

  /** How far the factor of a degree may be written beside the true one. */
  private static final BigDecimal NEARLY = new BigDecimal("1e-9");
}
