package arborline.core.formula;

import arborline.core.quantity.Conversion;
import arborline.core.quantity.Quantity;
import arborline.core.quantity.Unit;
import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;

/** Quantities as amounts of a calculation, and back. */
final class Amounts {

  private static final int DECIMALS = 6;
  private static final BigDecimal LARGEST = BigDecimal.valueOf(1_000_000_000L);
  private static final BigDecimal SPEED = BigDecimal.valueOf(1000);
  private static final BigDecimal REMOVAL = BigDecimal.valueOf(1000);
  private static final BigDecimal INCH = new BigDecimal("25.4");

  private Amounts() {}

  static Amount of(Quantity quantity) {
    return of(quantity.amount(), quantity.unit());
  }

  static Amount of(BigDecimal value, Unit unit) {
    Unit base = base(unit);
    BigDecimal inBase = base == unit ? value : Conversion.convert(value, unit, base).amount();
    return new Amount(factored(inBase, base), Dimension.of(unit), false);
  }

  private static BigDecimal factored(BigDecimal value, Unit base) {
    return switch (base) {
      case METRE_PER_MINUTE -> value.multiply(SPEED);
      case CUBIC_CENTIMETRE_PER_MINUTE -> value.multiply(REMOVAL);
      case THREADS_PER_INCH -> value.divide(INCH, MathContext.DECIMAL128);
      default -> value;
    };
  }

  /** What an amount of that kind is counted in before factors. */
  private static Unit base(Unit unit) {
    return switch (unit.kind()) {
      case LENGTH -> Unit.MILLIMETRE;
      case THREADS -> Unit.THREADS_PER_INCH;
      case ANGLE -> Unit.DEGREE;
      case COUNT -> Unit.ONE;
      case SURFACE_SPEED -> Unit.METRE_PER_MINUTE;
      case FEED_RATE -> Unit.MILLIMETRE_PER_MINUTE;
      case FEED_PER_REVOLUTION -> Unit.MILLIMETRE_PER_REVOLUTION;
      case ROTATION -> Unit.REVOLUTION_PER_MINUTE;
      case MASS -> Unit.KILOGRAM;
      case TORQUE -> Unit.NEWTON_METRE;
      case POWER -> Unit.KILOWATT;
      case PRESSURE -> Unit.BAR;
      case REMOVAL_RATE -> Unit.CUBIC_CENTIMETRE_PER_MINUTE;
      case TIME -> Unit.MINUTE;
    };
  }

  /**
   * An amount in a unit, six decimals at most.
   *
   * @throws FormulaException where it does not measure what the unit does
   */
  static Quantity in(Amount amount, Unit unit) {
    if (amount.bare()) {
      return quantity(amount.value(), unit);
    }
    if (!amount.dimension().equals(Dimension.of(unit))) {
      throw new FormulaException(
          "the result is %s, not %s"
              .formatted(amount.dimension().text(), Dimension.of(unit).text()));
    }
    Unit base = base(unit);
    BigDecimal inBase =
        switch (base) {
          case METRE_PER_MINUTE -> amount.value().divide(SPEED, MathContext.DECIMAL128);
          case CUBIC_CENTIMETRE_PER_MINUTE ->
              amount.value().divide(REMOVAL, MathContext.DECIMAL128);
          case THREADS_PER_INCH -> amount.value().multiply(INCH);
          default -> amount.value();
        };
    return quantity(
        base == unit
            ? inBase
            : Conversion.convert(inBase.setScale(12, RoundingMode.HALF_UP), base, unit).amount(),
        unit);
  }

  private static Quantity quantity(BigDecimal value, Unit unit) {
    if (value.abs().compareTo(LARGEST) > 0) {
      throw new FormulaException("it comes to more than a thousand million");
    }
    BigDecimal rounded =
        value.scale() > DECIMALS ? value.setScale(DECIMALS, RoundingMode.HALF_UP) : value;
    BigDecimal plain = rounded.signum() == 0 ? BigDecimal.ZERO : rounded.stripTrailingZeros();
    return Quantity.of(plain.toPlainString(), unit);
  }
}
